/** A part of a JPEG file before its picture, from its mark to the next one. */
interface Segment {
  readonly from: number;
  readonly to: number;
  /** It is about the picture, not of it: what cameras and programs write. */
  readonly saysMore: boolean;
}

const start = [0xff, 0xd8, 0xff] as const;
/** Marks: the first application's (which says that it is a JPEG), the others', a remark, and the one after which the picture begins. */
const marks = { jfif: 0xe0, lastApplication: 0xef, remark: 0xfe, scan: 0xda } as const;

/**
 * The parts of a JPEG file before its picture, in their order.
 *
 * @returns null where it is no whole one
 * @example jpegSegments(Uint8Array.from([1, 2, 3])) // null
 * Source: ITU-T T.81, recalled.
 */
export function jpegSegments(bytes: Uint8Array): Segment[] | null {
  if (!start.every((byte, n) => bytes[n] === byte)) return null;
  const segments: Segment[] = [];
  let from = 2;
  while (from + 4 <= bytes.length) {
    const [mark, kind = 0, high = 0, low = 0] = bytes.subarray(from, from + 4);
    if (mark !== start[0]) return null;
    if (kind === marks.scan) return segments;
    const to = from + 2 + high * 256 + low;
    const saysMore = kind === marks.remark || (kind > marks.jfif && kind <= marks.lastApplication);
    segments.push({ from, to, saysMore });
    from = to;
  }
  return null;
}
