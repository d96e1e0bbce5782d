import useSWR, { mutate } from 'swr';
import * as z from 'zod';
import { bareJpeg } from '@escale/core/formats/jpeg';
import { Photo, type PhotoNote } from '@escale/core/model';
import { MOST_PHOTO_BYTES } from '@escale/core/model/lists';
import { ask, NoSignal } from './api';
import { change, keptPhoto } from './outbox';
import { keep, keepOnly, kept } from './store';
import type { Held } from './things';

/** What has photos. */
export type Pictured = Held<'boat'> | Held<'gear'> | Held<'trip'>;

const PHOTOS = '/api/photos/';
const pathOf = (hash: string) => `${PHOTOS}${hash}`;
const Answer = z.object({ data: Photo.shape.data });
const urlOf = (data: string) => `data:image/jpeg;base64,${data}`;

/** A photo out of this device's own store, or from the server, and then kept here. */
async function readPhoto(path: string): Promise<string | undefined> {
  const here = Answer.safeParse((await kept(path))?.body);
  if (here.success) return here.data.data;
  try {
    const read = Answer.safeParse(await ask(path));
    if (!read.success) return undefined;
    await keep(path, read.data);
    return read.data.data;
  } catch (error) {
    if (error instanceof NoSignal) return undefined;
    throw error;
  }
}

/** As an address that an image takes; undefined while it is asked for, and where there is no signal and it is not kept here. */
export function usePhoto(hash: string): string | undefined {
  const { data } = useSWR(pathOf(hash), readPhoto, { revalidateOnFocus: false });
  return data === undefined ? undefined : urlOf(data);
}

/**
 * Photos that are not on this device yet are fetched one by one, so that they are there without a signal; those that nothing names
 * any more leave it.
 */
export async function keepPhotos(hashes: readonly string[]): Promise<void> {
  await keepOnly(PHOTOS, hashes.map(pathOf));
  for (const hash of hashes) await readPhoto(pathOf(hash));
}

/** Every photo that these things name. */
export const photosIn = (things: readonly Held[]): string[] => [
  ...new Set(things.flatMap(({ doc }) => Object.keys((doc as { photos?: object }).photos ?? {}))),
];

/** Why a picture was not taken. */
export class NoPicture extends Error {}

/** Larger files are not read at all, bytes. */
const MOST_READ = 30_000_000;
/** Each a try at so much quality and so many pixels along the longer side, until it is small enough. */
const TRIES: readonly { quality: number; side: number }[] = [
  { quality: 0.75, side: 1600 },
  { quality: 0.6, side: 1280 },
  { quality: 0.5, side: 1024 },
  { quality: 0.4, side: 720 },
];

/**
 * A picture made small on a canvas, which leaves place, hour and device of it behind.
 * @throws NoPicture `large` beyond what is read, `unread` where the browser knows no such picture
 */
export async function smallPicture(file: Blob): Promise<Uint8Array> {
  if (file.size > MOST_READ) throw new NoPicture('large');
  for (const { quality, side } of TRIES) {
    const bytes = bareJpeg(new Uint8Array(await (await drawn(file, quality, side)).arrayBuffer()));
    if (!bytes) throw new NoPicture('unread');
    if (bytes.length <= MOST_PHOTO_BYTES) return bytes;
  }
  throw new NoPicture('large');
}

/** What draws it small is loaded when a first picture is taken. */
async function drawn(file: Blob, quality: number, side: number): Promise<Blob> {
  const { default: Compressor } = await import('compressorjs');
  return new Promise((resolve, reject) => {
    new Compressor(file, {
      quality,
      maxWidth: side,
      maxHeight: side,
      mimeType: 'image/jpeg',
      // Else a picture that grew by it comes back as it was, with all that stands in it.
      strict: false,
      retainExif: false,
      success: resolve,
      error: () => reject(new NoPicture('unread')),
    });
  });
}

const hexOf = (bytes: ArrayBuffer) =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
const base64Of = (bytes: Uint8Array) => btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));

/** Keep a picture of a thing: on this device at once, on the server when there is a signal. */
export async function addPhoto(held: Pictured, file: Blob, note: PhotoNote, said: string): Promise<void> {
  const bytes = await smallPicture(file);
  const hash = hexOf(await crypto.subtle.digest('SHA-256', bytes.slice().buffer));
  const data = base64Of(bytes);
  await keep(pathOf(hash), { data });
  await mutate(pathOf(hash), data, { revalidate: false });
  await keptPhoto({ hash, data }, said);
  await change(held, [{ op: 'set', pointer: `/photos/${hash}`, value: note }], said);
}

/** Taken away: it goes from the server with the last thing that names it. @returns what puts it back */
export async function dropPhoto(held: Pictured, hash: string, said: string): Promise<() => Promise<void>> {
  const note = held.doc.photos?.[hash];
  const data = await readPhoto(pathOf(hash));
  await change(held, [{ op: 'unset', pointer: `/photos/${hash}` }], said);
  return async () => {
    if (data !== undefined) await keptPhoto({ hash, data }, said);
    if (note) await change(held, [{ op: 'set', pointer: `/photos/${hash}`, value: note }], said);
  };
}
