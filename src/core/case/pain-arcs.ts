import { Type, type Static } from "@sinclair/typebox";
import type { Exercise } from "~/core/exercise/exercise";
import type { CaseDay } from "./case-days";
import type { CaseFile } from "./case-file";
import { measuredArcs } from "./measured-arcs";

/** Where a movement hurt on one day: the bend at which it began and, where it passed again, ended; degrees. */
export const PainArc = Type.Object(
  {
    date: Type.String({ format: "date" }),
    fromDeg: Type.Integer(),
    toDeg: Type.Union([Type.Integer(), Type.Null()]),
    /** Worst pain of that day in the sets that named an angle, 0–10; null where the arc was measured. */
    pain: Type.Union([Type.Integer(), Type.Null()]),
  },
  { additionalProperties: false },
);
export type PainArc = Static<typeof PainArc>;

const latest = 5;

/**
 * Where an exercise hurt, day by day, whichever item of the plan it was done under: the arc as it was measured on that day, else
 * of its sets the worst that named an angle, of equally bad ones the first angle at which it hurt. A day without pain at an angle
 * is left out.
 *
 * @param days training days, oldest first
 * @returns the latest five, oldest first
 */
export function painArcsOf(
  file: Pick<CaseFile, "items" | "results" | "measures" | "episode">,
  days: readonly Pick<CaseDay, "date" | "sessions">[],
  exercise: Pick<Exercise, "id" | "family">,
): PainArc[] {
  const measured = measuredArcs(file, exercise).map((arc) => ({ ...arc, pain: null }));
  const onDay = new Set(measured.map(({ date }) => date));
  const felt = feltArcs(file, days, exercise.id).filter(({ date }) => !onDay.has(date));
  return [...measured, ...felt].sort((a, b) => a.date.localeCompare(b.date)).slice(-latest);
}

function feltArcs(
  { items }: Pick<CaseFile, "items">,
  days: readonly Pick<CaseDay, "date" | "sessions">[],
  exerciseId: string,
): PainArc[] {
  const own = new Set(items.filter((item) => item.exerciseId === exerciseId).map(({ id }) => id));
  return days.flatMap(({ date, sessions }) => {
    const named = sessions
      .flatMap((session) => session.items.filter(({ itemId }) => own.has(itemId)))
      .flatMap(({ sets }) => sets)
      .flatMap(({ painArc, painDuring, painSite }) =>
        painArc && painSite === "episode" ? [{ ...painArc, pain: painDuring }] : [],
      )
      .sort((a, b) => b.pain - a.pain || a.fromDeg - b.fromDeg);
    const [worst] = named;
    return worst ? [{ date, fromDeg: worst.fromDeg, toDeg: worst.toDeg ?? null, pain: worst.pain }] : [];
  });
}
