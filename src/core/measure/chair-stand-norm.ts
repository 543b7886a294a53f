import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

export const ChairStandInput = Type.Object(
  {
    age: Type.Integer({ minimum: 60, maximum: 94 }),
    sex: oneOf(["male", "female"]),
    stands: Type.Integer({ minimum: 0, maximum: 100 }),
  },
  { additionalProperties: false },
);
export const ChairStandOutput = Type.Object({ belowAverage: Type.Boolean(), cutoff: Type.Integer() });

/** Youngest age of each band, with the cut-off for men and women. */
const bands = [
  { from: 60, male: 14, female: 12 },
  { from: 65, male: 12, female: 11 },
  { from: 70, male: 12, female: 10 },
  { from: 75, male: 11, female: 10 },
  { from: 80, male: 10, female: 9 },
  { from: 85, male: 8, female: 8 },
  { from: 90, male: 7, female: 4 },
] as const;

/**
 * Stands from a chair in 30 seconds against the band of age and sex; arms used counts as 0.
 *
 * @returns `belowAverage` when there are fewer than the cut-off
 * @throws RangeError outside 60–94 years; registered callers refuse that before
 * @example chairStandNorm({ age: 72, sex: "female", stands: 9 }) // { belowAverage: true, cutoff: 10 }
 * Source: CDC STEADI, recalled.
 */
export function chairStandNorm({
  age,
  sex,
  stands,
}: Static<typeof ChairStandInput>): Static<typeof ChairStandOutput> {
  const band = bands.filter(({ from }) => from <= age).at(-1);
  if (!band || age > 94) throw new RangeError("the table runs from 60 to 94 years");
  return { belowAverage: stands < band[sex], cutoff: band[sex] };
}
