import { expect, it } from "vitest";
import { cleanPicture } from "./clean-picture";
import { pictureProblem } from "./picture-problem";

const segment = (kind: number, ...bytes: number[]) => [0xff, kind, 0, bytes.length + 2, ...bytes];
const file = (...segments: number[][]) => Uint8Array.from([0xff, 0xd8, ...segments.flat()]);
const header = segment(0xe0, 0x4a, 0x46, 0x49, 0x46, 0);
const table = segment(0xdb, 1, 2, 3);
const scan = segment(0xda, 0, 0);

it("a picture with nothing but itself is kept", () => {
  expect(pictureProblem(file(header, table, scan))).toBeNull();
});

it("one that says more, wherever it says it, is not; nor what is none", () => {
  expect(pictureProblem(file(header, segment(0xe1, 0x45, 0x78, 0x69, 0x66), scan))).toBe("says-more");
  expect(pictureProblem(file(header, table, segment(0xfe, 65), scan))).toBe("says-more");
  for (const none of [[], [0x89, 0x50], [0xff, 0xd8, 0xff], [0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 1, 7, 7, 7, 7]])
    expect(pictureProblem(Uint8Array.from(none))).toBe("no-jpeg");
});

it("cleaned, it is kept: every mark of a picture and nothing else is left", () => {
  const full = file(header, segment(0xe1, 0x45, 0x78), table, segment(0xe2, 1, 2), segment(0xfe, 65), scan);
  const clean = cleanPicture(full);
  expect([...clean]).toEqual([...file(header, table, scan)]);
  expect(pictureProblem(clean)).toBeNull();
  expect(cleanPicture(clean)).toEqual(clean);
  expect([...cleanPicture(Uint8Array.from([7, 7, 7]))]).toEqual([7, 7, 7]);
});
