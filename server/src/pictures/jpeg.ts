/** A JPEG that could not be read, in a sentence. */
export class NotJpeg extends Error {}

const START = 0xd8;
const SCAN = 0xda;
const APP0 = 0xe0;
const LAST_APP = 0xef;
const COMMENT = 0xfe;

/**
 * The same picture without its metadata: every application segment but JFIF, and every comment, is left out, so that no place, camera or
 * name goes along. Throws {@link NotJpeg} for bytes that are no JPEG. Source of the markers: ITU-T T.81, table B.1 (from memory).
 */
export function withoutMetadata(bytes: Uint8Array): Uint8Array {
  if (bytes[0] !== 0xff || bytes[1] !== START || bytes[2] !== 0xff)
    throw new NotJpeg('expected a JPEG picture');
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) throw new NotJpeg('expected a JPEG picture, found a broken one');
    const marker = bytes[at + 1]!;
    // From the first scan on come the picture's own bytes.
    if (marker === SCAN) return joined([...kept, bytes.subarray(at)]);
    const end = at + 2 + bytes[at + 2]! * 256 + bytes[at + 3]!;
    if (end > bytes.length) throw new NotJpeg('expected a JPEG picture, found a part of one');
    const metadata = (marker > APP0 && marker <= LAST_APP) || marker === COMMENT;
    if (!metadata) kept.push(bytes.subarray(at, end));
    at = end;
  }
  throw new NotJpeg('expected a JPEG picture, found a part of one');
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
