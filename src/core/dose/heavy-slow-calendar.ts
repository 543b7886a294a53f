import { Type, type Static } from "@sinclair/typebox";
import { addDays } from "~/core/schedule/local-day";

export const HeavySlowInput = Type.Object(
  { startOn: Type.String({ format: "date" }) },
  { additionalProperties: false },
);

export const HeavySlowOutput = Type.Object({
  weeks: Type.Array(
    Type.Object({
      week: Type.Integer(),
      from: Type.String({ format: "date" }),
      sets: Type.Integer(),
      repetitionMaximum: Type.Integer(),
    }),
  ),
});

const setsEach = 4;

/** Repetition maximum and weeks at it, in order. */
export const heavySlowSteps = [
  { repetitionMaximum: 15, weeks: 1 },
  { repetitionMaximum: 12, weeks: 2 },
  { repetitionMaximum: 10, weeks: 2 },
  { repetitionMaximum: 8, weeks: 3 },
  { repetitionMaximum: 6, weeks: 4 },
] as const;

/**
 * The twelve weeks of heavy slow resistance work: four sets, from a 15-repetition maximum in the first week to 6 in the
 * last four. Pain decides whether a step is taken; the calendar only says when it is due.
 *
 * @param input local date of the first day
 * @returns twelve weeks, each with its first day
 * Source: Kongsgaard 2009, recalled (15 RM week 1, 12 RM weeks 2–3, 10 RM 4–5, 8 RM 6–8, 6 RM 9–12).
 */
export function heavySlowCalendar({
  startOn,
}: Static<typeof HeavySlowInput>): Static<typeof HeavySlowOutput> {
  const ofWeek = heavySlowSteps.flatMap(
    ({ repetitionMaximum, weeks }) => Array(weeks).fill(repetitionMaximum) as number[],
  );
  return {
    weeks: ofWeek.map((repetitionMaximum, n) => ({
      week: n + 1,
      from: addDays(startOn, 7 * n),
      sets: setsEach,
      repetitionMaximum,
    })),
  };
}

/** Days to stay at a repetition maximum before the calendar goes on; 0 for one that is not in it. */
export function heavySlowDays(repetitionMaximum: number): number {
  return 7 * (heavySlowSteps.find((step) => step.repetitionMaximum === repetitionMaximum)?.weeks ?? 0);
}
