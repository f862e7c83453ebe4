/** A JPEG with how large it is, and nothing in it but the picture. */
export interface Picture {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

const START = 0xd8;
const SCAN = 0xda;
const COMMENT = 0xfe;
/** Frames tell the size; these three of their range are other tables. */
const isFrame = (marker: number): boolean => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);
/** Segments of applications: place, camera, time. JFIF (0) and how colours are meant (14) are of the picture. */
const isBeside = (marker: number): boolean => marker === COMMENT || (marker > 0xe0 && marker <= 0xef && marker !== 0xee);

/**
 * A JPEG as bytes, without what a camera writes beside it; null where it is none: its segments are walked up to the picture
 * itself (ITU-T T.81, B.1).
 */
export function pictureOf(bytes: Buffer): Picture | null {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== START) return null;
  const kept = [bytes.subarray(0, 2)];
  let size: { readonly width: number; readonly height: number } | null = null;
  let at = 2;
  while (at + 4 <= bytes.length) {
    const marker = bytes[at + 1] ?? 0;
    if (bytes[at] !== 0xff) return null;
    // Fill bytes may stand before a marker.
    if (marker === 0xff) {
      at++;
      continue;
    }
    const length = bytes.readUInt16BE(at + 2);
    const end = at + 2 + length;
    if (length < 2 || end > bytes.length) return null;
    if (isFrame(marker) && length >= 7) size = { height: bytes.readUInt16BE(at + 5), width: bytes.readUInt16BE(at + 7) };
    if (marker === SCAN) {
      if (!size || size.width === 0 || size.height === 0) return null;
      kept.push(bytes.subarray(at));
      return { bytes: Buffer.concat(kept), ...size };
    }
    if (!isBeside(marker)) kept.push(bytes.subarray(at, end));
    at = end;
  }
  return null;
}
