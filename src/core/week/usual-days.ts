/** Days of the week on which somebody trains who has so many of them, Monday 0: spread evenly (common practice). */
const spread: readonly (readonly number[])[] = [
  [],
  [2],
  [0, 3],
  [0, 2, 4],
  [0, 1, 3, 5],
  [0, 1, 2, 4, 5],
  [0, 1, 2, 3, 4, 5],
  [0, 1, 2, 3, 4, 5, 6],
];

/** @param daysPerWeek 1 to 7 @returns Monday 0 to Sunday 6 @example usualDays(3) // [0, 2, 4] */
export const usualDays = (daysPerWeek: number): readonly number[] => spread[daysPerWeek] ?? [];
