import * as z from 'zod';
import { Id, Instant } from './common';
import { MOST_PHOTO_CHARACTERS } from './lists';
import { PartKey } from './parts';

/** SHA-256 of a photo's bytes, by which it is kept and found. */
export const PhotoHash = z.string().regex(/^[0-9a-f]{64}$/, 'the hash of a photo');
/** A photo as it travels: a small JPEG without anything beside the picture, in base64. */
export const PhotoData = z.base64().min(4).max(MOST_PHOTO_CHARACTERS, 'a photo is at most 200 kB');
/** When it was taken in, and of which part or opening it is; on a trip, of which boat’s. */
export const PhotoNote = z.strictObject({ at: Instant, of: PartKey.optional(), boat: Id.optional() });
export type PhotoNote = z.infer<typeof PhotoNote>;
/** Photos of a thing, by hash. */
export const PhotoNotes = z.record(PhotoHash, PhotoNote);
export const Photo = z.strictObject({ hash: PhotoHash, data: PhotoData });
export type Photo = z.infer<typeof Photo>;
