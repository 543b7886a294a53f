import { jpegSegments } from "./jpeg-segments";

/**
 * What is wrong with a picture that is to be kept: it is no JPEG, or it still says where, when and with what it was taken.
 *
 * @param bytes of the file
 * @returns null where nothing is
 * @example pictureProblem(Uint8Array.from([1, 2, 3])) // "no-jpeg"
 * Source: ITU-T T.81, recalled.
 */
export function pictureProblem(bytes: Uint8Array): "no-jpeg" | "says-more" | null {
  const segments = jpegSegments(bytes);
  if (!segments) return "no-jpeg";
  return segments.some(({ saysMore }) => saysMore) ? "says-more" : null;
}
