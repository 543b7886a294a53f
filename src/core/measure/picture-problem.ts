const jpeg = [0xff, 0xd8, 0xff] as const;
/** Segments of a JPEG file: those that cameras and programs write about a picture, and the one after which it begins. */
const segments = { app0: 0xe0, appLast: 0xef, comment: 0xfe, scan: 0xda } as const;

/**
 * What is wrong with a picture that is to be kept: it is no JPEG, or it still says where, when and with what it was taken.
 *
 * @param bytes of the file
 * @returns null where nothing is
 * @example pictureProblem(Uint8Array.from([1, 2, 3])) // "no-jpeg"
 * Source: ITU-T T.81, recalled.
 */
export function pictureProblem(bytes: Uint8Array): "no-jpeg" | "says-more" | null {
  if (!jpeg.every((byte, n) => bytes[n] === byte)) return "no-jpeg";
  let at = 2;
  while (at + 4 <= bytes.length) {
    const [mark, kind] = [bytes[at], bytes[at + 1] ?? 0];
    if (mark !== jpeg[0]) return "no-jpeg";
    if (kind === segments.scan) return null;
    if (kind === segments.comment || (kind > segments.app0 && kind <= segments.appLast)) return "says-more";
    at += 2 + (bytes[at + 2] ?? 0) * 256 + (bytes[at + 3] ?? 0);
  }
  return "no-jpeg";
}
