/** Markers of a JPEG file (ITU-T T.81, annex B): two bytes each, FF and one of these. */
const START = 0xd8,
  SCAN = 0xda,
  COMMENT = 0xfe,
  FIRST_APP = 0xe0,
  LAST_APP = 0xef,
  MARK = 0xff;
const HEAD = 4;

/**
 * A JPEG with nothing in it beside the picture: what programs write of place, hour, device and owner (APP1 to APP15, comments) is left
 * out, the plain header (APP0) stays.
 * @param bytes a file, as it was read
 * @returns undefined for what is no JPEG, or is cut off before its picture begins
 */
export function bareJpeg(bytes: Uint8Array): Uint8Array | undefined {
  if (bytes[0] !== MARK || bytes[1] !== START) return undefined;
  const parts: Uint8Array[] = [bytes.subarray(0, 2)];
  for (let at = 2; at + HEAD <= bytes.length;) {
    const marker = bytes[at + 1];
    if (bytes[at] !== MARK) return undefined;
    // From the first scan on it is the picture itself.
    if (marker === SCAN) return joined([...parts, bytes.subarray(at)]);
    const length = (bytes[at + 2] << 8) | bytes[at + 3];
    const next = at + 2 + length;
    if (length < 2 || next > bytes.length) return undefined;
    const beside = marker === COMMENT || (marker > FIRST_APP && marker <= LAST_APP);
    if (!beside) parts.push(bytes.subarray(at, next));
    at = next;
  }
  return undefined;
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
