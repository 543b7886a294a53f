import { describe, expect, it } from "vitest";
import { bookFor } from "~/catalogue/demands/book";
import { startingExercises } from "~/catalogue/exercises/all";
import { startingPathways } from "~/catalogue/pathways/all";
import { codesOfOperation, procedures, proceduresOf } from "~/catalogue/procedures/all";
import { operationLimits, type Operation } from "~/core/event/operation-limits";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { inForce, type Restriction } from "~/core/limit/restriction";
import { obstacle } from "~/core/limit/obstacle";
import { restrictionProblems } from "~/core/limit/restriction-problems";
import { addDays, daysBetween } from "~/core/schedule/local-day";

/** What procedures bring along: common practice unless a source stands beside it; the surgeon's sheet wins. */
const on = "2026-01-05";
const book = bookFor({ heightM: 1.75 }, new Map());
const day = (n: number) => addDays(on, n);
const of = (codes: string[], over: Partial<Operation> = {}) =>
  operationLimits(proceduresOf(codes), { on, ...over });

/** The days on which some limit with these words holds: first and last, counted from the operation; last null for no end. */
function span(limits: readonly Restriction[], words: string): [number, number | null] | null {
  const found = limits.find(({ says }) => says.includes(words));
  if (!found) return null;
  const days = Array.from({ length: 400 }, (_, n) => n).filter((n) => inForce(found, day(n)));
  const last = days.at(-1) ?? -1;
  return [days[0] ?? -1, last === 399 ? null : last];
}

describe("how long each limit holds: for n weeks is day 0 to day 7n − 1", () => {
  it.each([
    ["ligament-reconstruction", "jumping", 0, 83],
    ["ligament-reconstruction", "running", 0, 83],
    ["ligament-reconstruction", "no open-chain extension before week 4", 0, 27],
    ["ligament-reconstruction", "within 90–45°", 28, 55],
    ["meniscus-repair", "within 90°", 0, 41],
    ["meniscus-repair", "loaded knee bend", 0, 111],
    ["meniscus-repair", "jumping", 0, 111],
    ["meniscus-repair", "isolated bending", 0, 55],
    ["meniscus-repair", "two legs only", 0, 27],
    ["meniscus-root-repair", "touch weight", 0, 41],
    ["cartilage-knee", "touch weight", 0, 55],
    ["cartilage-knee", "jumping", 0, 111],
    ["hip-arthroscopy", "hip bend", 0, 20],
    ["hip-arthroscopy", "outward rotation", 0, 20],
    ["hip-arthroscopy", "straight-leg raise", 0, 41],
    ["hip-arthroscopy", "loaded hip flexion", 0, 41],
    ["hip-arthroscopy", "made long", 0, 41],
    ["hip-arthroscopy", "not stretched", 0, 41],
    ["hip-arthroscopy", "two legs only", 0, 20],
    ["hip-arthroscopy", "jumping", 0, 83],
    ["hip-replacement-posterior", "hip bend", 0, 83],
    ["hip-replacement-posterior", "inward rotation", 0, 83],
    ["hip-replacement-posterior", "midline", 0, 83],
    ["hip-replacement-anterior", "past neutral", 0, 41],
    ["hip-replacement-anterior", "outward rotation", 0, 41],
    ["knee-replacement", "jumping", 0, null],
    ["tendon-achilles", "not loaded", 0, null],
  ] as const)("%s, %s: day %i to %s", (code, words, first, last) => {
    expect(span(of([code]), words)).toEqual([first, last]);
  });

  it("a partial removal goes by effusion, not by the calendar", () =>
    expect(of(["meniscus-partial"])).toEqual([]));
  it("a graft brings its own, and no other graft's", () => {
    const knee = (graft: string) => of(["ligament-reconstruction"], { graft });
    expect(span(knee("hamstring"), "hamstring graft")).toEqual([0, 83]);
    expect(span(knee("patellar tendon"), "no kneeling")).toEqual([0, 111]);
    expect(span(knee("quadriceps tendon"), "no kneeling")).toEqual([0, 111]);
    expect(span(knee("donor"), "no kneeling")).toBeNull();
    expect(span(knee("patellar tendon"), "hamstring graft")).toBeNull();
  });
});

describe("several procedures, and the surgeon's sheet", () => {
  const both = ["ligament-reconstruction", "meniscus-repair"];
  it("bring all their limits together; the same one stands once, with the later end", () => {
    const limits = of(both, { graft: "hamstring" });
    expect(limits.filter(({ kind }) => kind === "running")).toHaveLength(1);
    expect(span(limits, "running")).toEqual([0, 111]);
    expect(span(limits, "hamstring graft")).toEqual([0, 83]);
    expect(span(limits, "within 90°")).toEqual([0, 41]);
  });
  it("weight that the sheet writes takes the place of the usual one", () => {
    const sheet: Restriction[] = [
      { kind: "weight", mostShare: 0.5, origin: "surgeon", says: "half the weight", until: day(30) },
    ];
    const limits = of(["meniscus-repair"], { sheet });
    expect(span(limits, "two legs only")).toBeNull();
    expect(span(limits, "half the weight")).not.toBeNull();
    expect(span(of(["meniscus-repair"], { weightIsWritten: true }), "two legs only")).toBeNull();
  });
  it("the sheet shortens, lengthens or opens a limit, which is the surgeon's from then on", () => {
    const end = (until: string | null) => ({
      ends: [{ procedure: "hip-replacement-posterior", limit: "bend", until }],
    });
    const limits = of(["hip-replacement-posterior"], end(day(41)));
    expect(span(limits, "hip bend")).toEqual([0, 41]);
    expect(limits.find(({ says }) => says.includes("hip bend"))?.origin).toBe("surgeon");
    expect(limits.find(({ says }) => says.includes("midline"))?.origin).toBe("procedure");
    expect(span(of(["hip-replacement-posterior"], end(null)), "hip bend")).toEqual([0, null]);
  });
});

describe("what they bar and what they leave", () => {
  const barred = (
    codes: string[],
    n: number,
    variantId: string,
    over: Partial<Operation> = {},
    settings: Prescription["settings"] = {},
  ) => {
    const exercise = startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId));
    if (!exercise) throw new Error(variantId);
    const variant = variantOf(exercise, variantId);
    const first = firstPrescription(variant);
    const prescription = { ...first, settings: { ...first.settings, ...settings } };
    return obstacle(prescription, variant, exercise, of(codes, over), day(n), book)?.says ?? null;
  };
  it("hamstring graft: no resisted bending up to the last day of week 12", () => {
    const at = (n: number, graft: string) =>
      barred(["ligament-reconstruction"], n, "curl-machine-single", { graft });
    expect(at(83, "hamstring")).toContain("week 12");
    expect([at(84, "hamstring"), at(20, "patellar tendon")]).toEqual([null, null]);
  });
  it("open-chain extension: none before week 4, 90–45° until week 8, then free (van Melick 2016, recalled)", () => {
    const at = (n: number, id: string) => barred(["ligament-reconstruction"], n, id, { graft: "donor" });
    expect(at(27, "extension-machine-single")).toContain("week 4");
    expect(at(28, "extension-machine-single")).toBeNull();
    expect(at(28, "extension-machine-heavy")).toContain("90–45°");
    expect(at(56, "extension-machine-heavy")).toBeNull();
  });
  it("meniscus repair: no deep loaded bend for sixteen weeks, whatever stands deeper", () => {
    expect(barred(["meniscus-repair"], 41, "split-squat-rear-raised")).not.toBeNull();
    expect(barred(["meniscus-repair"], 111, "split-squat-rear-raised")).toContain("week 16");
    expect(barred(["meniscus-repair"], 112, "split-squat-rear-raised")).toBeNull();
    expect(barred(["meniscus-repair"], 111, "squat-free")).toBeNull();
  });
  it("hip arthroscopy on day 3: no banded march, no prone press-up, no one-leg work; a thigh may be tightened", () => {
    for (const id of ["march-band", "extension-hands-full"])
      expect([id, barred(["hip-arthroscopy"], 3, id)]).not.toEqual([id, null]);
    expect(barred(["hip-arthroscopy"], 3, "stance-single-held")).toContain("two legs only");
    expect(barred(["hip-arthroscopy"], 21, "stance-single-held")).toBeNull();
  });
});

it("every name a pathway gives its operation is known by what it consists of", () => {
  for (const { procedures: names = [] } of startingPathways)
    for (const name of names) {
      const codes = codesOfOperation(name);
      expect([name, codes.length > 0]).toEqual([name, true]);
      expect(proceduresOf(codes)).toHaveLength(codes.length);
    }
});

it("every limit of every procedure is one that can be judged", () => {
  for (const { code, limits } of procedures)
    expect([
      code,
      restrictionProblems(
        limits.map(({ limit }) => limit),
        "",
      ),
    ]).toEqual([code, []]);
});

const springKinds: ReadonlySet<string> = new Set(["spring", "running"]);
const legKinds: ReadonlySet<string> = new Set(["weight", "legs"]);

it("every lane that a stage of a pathway with an operation names has a setting within its limits when the stage can begin", () => {
  const empty = startingPathways.flatMap((pathway) =>
    (pathway.procedures ?? []).flatMap((name) =>
      (pathway.grafts ?? [undefined]).flatMap((graft) => {
        const stages = pathway.stages.filter(({ beforeSurgery }) => !beforeSurgery);
        return stages.flatMap((stage, n) => {
          const opens = n === 0 ? 0 : (stages[n - 1]?.gate?.minimumDaysSinceOnset ?? 0);
          const limits = [...stage.limits, ...of([...codesOfOperation(name)], { graft })];
          return stage.lanes.flatMap(({ lane, exercises }) => {
            // Landing and running, and standing on one leg, come in when the calendar opens them, the rest at once.
            const opened = ({ kind }: Restriction) =>
              springKinds.has(kind) || (lane === "balance" && legKinds.has(kind));
            const late = ["landing", "running", "balance"].includes(lane) ? limits.filter(opened) : [];
            const from = Math.max(opens, ...late.map(({ until = on }) => daysBetween(on, until) + 1));
            const fits = exercises.some((id) => {
              const exercise = startingExercises.find((entry) => entry.id === id);
              return exercise?.variants.some(
                (variant) =>
                  obstacle(firstPrescription(variant), variant, exercise, limits, day(from), book) === null,
              );
            });
            return fits ? [] : [`${name} ${graft ?? ""}: ${stage.code}, ${lane}`];
          });
        });
      }),
    ),
  );
  expect(empty).toEqual([]);
});
