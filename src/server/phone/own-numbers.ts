import type { PhoneView } from "~/contract/phone";
import { measuresOfGate } from "~/core/gate/measures-in";
import { standingResults, type Measure, type MeasureResult } from "~/core/measure/measure";
import { summariseDay } from "~/core/measure/side-value";
import { stageOf } from "~/core/pathway/pathway";
import type { LoadedCase } from "~/server/case/make-case";

/** What can be read without help: strength, counts, angles, distances. No scores, no grades, nothing about pain. */
const told: readonly (Measure["group"] | undefined)[] = [
  "range",
  "strength",
  "endurance",
  "balance",
  "spring",
  "run",
];
const mostMeasures = 6;
const mostDays = 6;

/** A patient's own numbers over time, of the hurt leg: those that the next gate reads first, then the latest taken. */
export function ownNumbers({ file, review }: LoadedCase): NonNullable<PhoneView["numbers"]> {
  const { involvedSide } = file.episode;
  const gate = measuresOfGate(stageOf(file.pathway, review().stage).gate);
  const results = standingResults(file.results).filter((result) => result.occasion === "since-injury");
  const side = involvedSide === "right" ? "right" : "left";
  const latest = (code: string) =>
    results.reduce(
      (last, result) => (result.measure === code && result.takenOn > last ? result.takenOn : last),
      "",
    );
  return file.measures
    .filter(({ group, grades }) => told.includes(group) && !grades)
    .flatMap((measure) => {
      const own = measure.sides === "none" ? "none" : side;
      const points = byDay(measure, results, own);
      const others = own === "none" ? [] : byDay(measure, results, own === "left" ? "right" : "left");
      return points.length === 0
        ? []
        : [
            {
              code: measure.code,
              name: measure.name,
              unit: measure.unit,
              points,
              other: others.at(-1)?.value ?? null,
            },
          ];
    })
    .sort(
      (a, b) =>
        Number(gate.includes(b.code)) - Number(gate.includes(a.code)) ||
        latest(b.code).localeCompare(latest(a.code)),
    )
    .slice(0, mostMeasures)
    .map(({ code: _code, ...number }) => number);
}

/** One value a day, oldest first. */
function byDay(
  measure: Measure,
  results: readonly MeasureResult[],
  side: MeasureResult["side"],
): { date: string; value: number }[] {
  const own = results.filter((result) => result.measure === measure.code && result.side === side);
  const days = [...new Set(own.map(({ takenOn }) => takenOn))].sort().slice(-mostDays);
  return days.map((date) => ({
    date,
    value: summariseDay(
      measure,
      own.filter(({ takenOn }) => takenOn === date),
    ),
  }));
}
