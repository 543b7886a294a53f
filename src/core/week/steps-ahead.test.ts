import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { Restriction } from "~/core/limit/restriction";
import { sparedDates } from "./spared-dates";
import { stepsAhead } from "./steps-ahead";

const book = bookFor({ heightM: 1.75 });
const exerciseOf = (id: string) => {
  const found = startingExercises.find((exercise) => exercise.id === id);
  if (!found) throw new Error(`no exercise ${id}`);
  return found;
};
function ahead(
  id: string,
  restrictions: Restriction[] = [],
  variantId = exerciseOf(id).variants[0]?.id ?? "",
) {
  const exercise = exerciseOf(id);
  const prescription = firstPrescription(variantOf(exercise, variantId));
  return stepsAhead(
    {
      exercise,
      prescription,
      prescribedOn: "2026-03-09",
      changes: [],
      restrictions,
      beside: [],
    },
    { today: "2026-03-11", until: "2026-04-05" },
    book,
  );
}

describe("steps ahead", () => {
  // Handbook of decisions: runs and contacts 7 days from step to step on one variable.
  it("of a run come a week apart, one variable, from the day it was prescribed", () => {
    const steps = ahead("steady-run");
    expect(steps.map(({ on, knob, from, to }) => [on, knob, from, to])).toEqual([
      ["2026-03-16", "minutes", 8, 12],
      ["2026-03-23", "minutes", 12, 16],
      ["2026-03-30", "minutes", 16, 20],
    ]);
  });

  // Kongsgaard 2009, recalled: 15 RM for a week, 12 RM for two, 10 RM for two.
  it("of heavy slow work follow its calendar", () => {
    const isHeavy = ({ dose }: { dose: { policy: string } }) => dose.policy === "scheduled";
    const heavy = startingExercises.find(({ variants }) => variants.some(isHeavy));
    const variant = heavy?.variants.find(isHeavy);
    if (!heavy || !variant) throw new Error("something is heavy and slow");
    const steps = ahead(heavy.id, [], variant.id).filter(({ knob }) => knob === "repetition-maximum");
    expect(steps.map(({ on, from, to }) => [on, from, to])).toEqual([
      ["2026-03-16", 15, 12],
      ["2026-03-30", 12, 10],
    ]);
  });

  it("end where a limit stops them, with its words; a limit that has ended by then stops nothing", () => {
    const limit = { kind: "running", origin: "surgeon", says: "no running yet" } as const;
    expect(ahead("steady-run", [limit])).toMatchObject([
      { on: "2026-03-16", stoppedBy: "no running yet", to: null },
    ]);
    expect(ahead("steady-run", [{ ...limit, until: "2026-03-12" }])).toHaveLength(3);
  });

  it("are none of a dose that no calendar steps", () => {
    expect(ahead("clam")).toEqual([]);
  });
});

it("a swollen morning and a graded effusion keep that day and the next, each once", () => {
  const report = { receivedAt: "2026-03-10T23:30:00.000Z", pain: 2, swelling: "more" } as const;
  expect(
    sparedDates(
      [{ report }, { report: { ...report, swelling: "same" } }, { report: undefined }],
      [],
      "Europe/Vienna",
    ),
  ).toEqual(["2026-03-11", "2026-03-12"]);
  expect(sparedDates([{ report }], [{ on: "2026-03-12" }], "Europe/Vienna")).toEqual([
    "2026-03-11",
    "2026-03-12",
    "2026-03-13",
  ]);
});
