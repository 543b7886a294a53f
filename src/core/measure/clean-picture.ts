import { jpegSegments } from "./jpeg-segments";

/**
 * A JPEG picture without anything that a camera or a program wrote about it: where, when and with what it was taken, and its
 * colour profile.
 *
 * @param bytes of a JPEG file
 * @returns its bytes, shorter; the same where it is no JPEG
 * @example cleanPicture(Uint8Array.from([1, 2])).length // 2
 * Source: ITU-T T.81, recalled.
 */
export function cleanPicture(bytes: Uint8Array): Uint8Array {
  const segments = jpegSegments(bytes);
  if (!segments) return bytes;
  const kept = [
    ...segments.flatMap((segment) => (segment.saysMore ? [] : [bytes.subarray(segment.from, segment.to)])),
    bytes.subarray(segments.at(-1)?.to ?? 2),
  ];
  const clean = new Uint8Array(2 + kept.reduce((sum, part) => sum + part.length, 0));
  clean.set(bytes.subarray(0, 2));
  let at = 2;
  for (const part of kept) {
    clean.set(part, at);
    at += part.length;
  }
  return clean;
}
