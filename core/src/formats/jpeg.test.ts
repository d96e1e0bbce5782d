import { describe, expect, test } from '@jest/globals';
import { bareJpeg } from './jpeg';

const segment = (marker: number, text: string) => {
  const body = [...text].map((c) => c.charCodeAt(0));
  const length = body.length + 2;
  return [0xff, marker, length >> 8, length & 255, ...body];
};
const PICTURE = [0xff, 0xda, 0, 4, 1, 2, 9, 9, 9, 0xff, 0xd9];
const file = (...segments: number[][]) => Uint8Array.from([0xff, 0xd8, ...segments.flat(), ...PICTURE]);
const text = (bytes: Uint8Array | undefined) => String.fromCharCode(...(bytes ?? []));

describe('a photo without what is beside the picture', () => {
  test('positions, owners, comments go; header, tables and picture stay, byte by byte', () => {
    const full = file(
      segment(0xe0, 'JFIF'),
      segment(0xe1, 'Exif GPS 41.2 N'),
      segment(0xed, 'owner'),
      segment(0xfe, 'said'),
      segment(0xdb, 'table'),
    );
    const bare = bareJpeg(full)!;
    expect(text(bare)).not.toMatch(/Exif|GPS|owner|said/);
    expect(bare).toEqual(file(segment(0xe0, 'JFIF'), segment(0xdb, 'table')));
    expect(bareJpeg(bare)).toEqual(bare);
  });
  test.each<[string, Uint8Array]>([
    ['nothing', new Uint8Array()],
    ['a PNG', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10])],
    ['a script', Uint8Array.from([...'<script>alert(1)</script>'].map((c) => c.charCodeAt(0)))],
    ['cut off', file(segment(0xe1, 'Exif')).subarray(0, 7)],
    ['a length of nought', Uint8Array.from([0xff, 0xd8, 0xff, 0xe1, 0, 0, 1, 2, 3, 4])],
    ['a length beyond its end', Uint8Array.from([0xff, 0xd8, 0xff, 0xe1, 0xff, 0xff, 1, 2])],
    ['no picture', Uint8Array.from([0xff, 0xd8, ...segment(0xe0, 'JFIF'), 0xff, 0xd9])],
  ])('%s is none', (_name, bytes) => expect(bareJpeg(bytes)).toBeUndefined());
});
