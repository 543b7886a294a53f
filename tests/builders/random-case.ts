import { acceptedChange } from "~/core/review/signed-change";
import fc from "fast-check";
import { startingExercises } from "~/catalogue/exercises/all";
import { measuresOf } from "~/catalogue/pathways/measures-of";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { stopSignalCodes } from "~/core/intake/stop-signal";
import { caseFormat, caseVersion, type CaseFile } from "~/core/case/case-file";
import { reviewCase, type ItemReview } from "~/core/review/review-case";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import { painSchoolCodes } from "~/core/response/pain-school";
import { fullGym } from "~/core/exercise/kit";
import { painPatterns, type SetRecord } from "~/core/response/session-record";
import { addDays } from "~/core/schedule/local-day";

const planned = [
  ["side-step-up", "side-step-up-held"],
  ["bridge", "bridge-two-legs"],
  ["back-extension", "back-extension-bench"],
  ["two-leg-squat", "squat-goblet"],
] as const;

const firstDay = "2026-03-10";

/** One day of training of a patient: how it went, as shares and offsets that the plan of that day turns into sets. */
interface LivedDay {
  readonly gap: number;
  readonly before: number;
  readonly work: readonly {
    readonly share: number;
    readonly pain: number;
    readonly effort: number;
    readonly marked: boolean;
    readonly painWith: SetRecord["painWith"] | null;
    readonly painFromDeg: number | null;
    readonly limit: "fear" | "wrong-place" | null;
  }[];
  /** Hours after which the session reached the record; 0 for one recorded at once. */
  readonly arrivesAfterHours: number;
  /** Pain of the next morning above the pain before; null: no report. */
  readonly rise: number | null;
  readonly swelling: "same" | "more";
  readonly reportAfterHours: number;
  readonly signs: boolean;
}

const mostlyLow = (low: number, high: number) =>
  fc.oneof(
    { weight: 5, arbitrary: fc.integer({ min: 0, max: low }) },
    { weight: 1, arbitrary: fc.integer({ min: 0, max: high }) },
  );

const livedDay: fc.Arbitrary<LivedDay> = fc.record({
  gap: fc.constantFrom(1, 2, 2, 2, 3, 5, 9, 17),
  before: mostlyLow(1, 5),
  work: fc.array(
    fc.record({
      share: fc.constantFrom(0, 0.7, 1, 1, 1, 1, 1),
      pain: mostlyLow(2, 8),
      effort: fc.constantFrom(5, 6, 6, 7, 7, 9),
      marked: fc.constantFrom(false, false, false, false, false, true),
      painWith: fc.option(fc.constantFrom(...painPatterns), { freq: 2 }),
      painFromDeg: fc.option(fc.integer({ min: 10, max: 90 }), { freq: 2 }),
      limit: fc.constantFrom(...Array<null>(12).fill(null), "fear" as const, "wrong-place" as const),
    }),
    { minLength: planned.length, maxLength: planned.length },
  ),
  rise: fc.option(fc.constantFrom(0, 0, 0, 0, 1, 1, 2, 4), { freq: 8 }),
  swelling: fc.constantFrom("same", "same", "same", "same", "more"),
  arrivesAfterHours: fc.constantFrom(0, 0, 0, 0, 12, 30),
  reportAfterHours: fc.constantFrom(21, 21, 21, 40),
  signs: fc.constantFrom(true, true, true, false),
});

/** A day on which everything went as it should, with a fine next morning. */
const calmDay: fc.Arbitrary<LivedDay> = fc
  .record({
    gap: fc.constantFrom(1, 2, 2, 3),
    before: fc.integer({ min: 0, max: 1 }),
    pain: fc.integer({ min: 0, max: 2 }),
    effort: fc.constantFrom(5, 6, 7),
  })
  .map(({ gap, before, pain, effort }) => ({
    gap,
    before,
    work: planned.map(() => ({
      share: 1,
      pain,
      effort,
      marked: false,
      painWith: null,
      painFromDeg: null,
      limit: null,
    })),
    arrivesAfterHours: 0,
    rise: 0,
    swelling: "same" as const,
    reportAfterHours: 21,
    signs: true,
  }));

/** A record lived from a plan of four exercises: trained, reported, and most of what was proposed signed. */
export const arbitraryCase: fc.Arbitrary<CaseFile> = fc
  .record({
    days: fc.array(fc.oneof({ weight: 3, arbitrary: calmDay }, { weight: 2, arbitrary: livedDay }), {
      minLength: 1,
      maxLength: 10,
    }),
    school: fc.constantFrom(...painSchoolCodes),
    irritability: fc.constantFrom("low" as const, "high" as const),
    involvedSide: fc.constantFrom("left" as const, "left" as const, "both" as const),
    shelf: fc.option(fc.constantFrom([5, 10, 15, 20], [4, 8, 12], [2, 4, 6, 8, 10, 12]), { freq: 2 }),
    hoursAfter: fc.integer({ min: 1, max: 90 }),
  })
  .map(({ days, school, irritability, involvedSide, shelf, hoursAfter }) => {
    const file = emptyCase(school, irritability, involvedSide, shelf);
    let date = firstDay;
    days.forEach((day, n) => {
      live(file, day, n, date);
      if (n < days.length - 1) date = addDays(date, day.gap);
    });
    const asOf = hoursLater(`${date}T09:00:00Z`, hoursAfter);
    return {
      ...file,
      asOf,
      reports: file.reports.filter(({ receivedAt }) => receivedAt <= asOf),
      sessions: file.sessions.filter(({ at, receivedAt = at }) => receivedAt <= asOf),
    };
  });

/** A stop signal of any kind, seen in one of the exercises. */
export const arbitrarySignal = fc
  .record({ code: fc.constantFrom(...stopSignalCodes), item: fc.constantFrom(...planned.map(([id]) => id)) })
  .map(({ code, item }) => ({ code, itemId: item }));

function emptyCase(
  school: CaseFile["schools"][number]["school"],
  irritability: "low" | "high",
  involvedSide: "left" | "both",
  shelf: readonly number[] | null,
): CaseFile {
  const pathway = pathwayByCode("kneecap-pain");
  return {
    format: caseFormat,
    version: caseVersion,
    asOf: `${firstDay}T07:00:00Z`,
    zone: "Europe/Vienna",
    episode: {
      id: "e",
      involvedSide,
      onsetOn: "2026-01-10",
      irritability,
      startedAt: "2026-03-01T08:00:00Z",
    },
    pathway,
    exercises: startingExercises.filter(({ id }) => planned.some(([used]) => used === id)),
    measures: measuresOf(pathway),
    stageMoves: [{ id: "m", at: "2026-03-01T08:00:00Z", stage: "capacity", reason: "placed" }],
    schools: [{ id: "s", at: "2026-03-01T08:00:00Z", school, reason: "chosen" }],
    restrictions: shelf
      ? [
          {
            kind: "kit",
            available: [...fullGym],
            shelfKg: { dumbbells: [...shelf] },
            origin: "kit",
            says: "what stands on the shelf",
          },
        ]
      : [],
    items: planned.map(([exerciseId, variantId]) => {
      const exercise = exerciseOf(exerciseId);
      const prescription = firstPrescription(variantOf(exercise, variantId));
      const prescriptions = [{ id: `${exerciseId}-0`, from: "2026-03-09T08:00:00Z", prescription }];
      return { id: exerciseId, exerciseId, lane: exercise.lane, prescriptions };
    }),
    sessions: [],
    reports: [],
    results: [],
    decisions: [],
    clearances: [],
  };
}

function live(file: CaseFile, day: LivedDay, n: number, date: string): void {
  if (day.signs) signEverything(file, `${date}T07:00:00Z`, n);
  const at = `${date}T09:00:00Z`;
  const { items } = reviewCase({ ...file, asOf: at });
  file.sessions.push({
    id: `session-${n}`,
    at,
    ...(day.arrivesAfterHours > 0 ? { receivedAt: hoursLater(at, day.arrivesAfterHours) } : {}),
    painBefore: day.before,
    items: items.map((item, i) => ({ itemId: item.itemId, sets: setsOf(item, day.work[i]) })),
  });
  if (day.rise === null) return;
  file.reports.push({
    id: `report-${n}`,
    trainingDate: date,
    receivedAt: hoursLater(at, day.reportAfterHours),
    pain: Math.min(10, day.before + day.rise),
    swelling: day.swelling,
  });
}

function setsOf(
  { exerciseId, prescription }: ItemReview,
  work: LivedDay["work"][number] | undefined,
): SetRecord[] {
  if (!work) throw new RangeError("a day has work for every exercise");
  const { dose } = prescription;
  const exercise = exerciseOf(exerciseId);
  const sides =
    sidesOf(exercise, prescription) === "each-side" ? (["left", "right"] as const) : (["both"] as const);
  const [fault] = exercise.faults;
  return Array.from({ length: dose.sets }, () =>
    sides.map((side): SetRecord => ({
      side,
      ...(dose.reps ? { reps: Math.round(dose.reps.top * work.share) } : {}),
      ...(dose.hold ? { holdSeconds: dose.hold.top } : {}),
      ...(dose.loadKg === undefined ? {} : { loadKg: dose.loadKg }),
      painDuring: work.pain,
      painSite: "episode",
      ...(work.painWith ? { painWith: work.painWith } : {}),
      ...(work.painWith === "depth" && work.painFromDeg !== null
        ? { painArc: { fromDeg: work.painFromDeg } }
        : {}),
      effort: work.effort,
      ...(work.limit ? { limit: { kind: work.limit } } : {}),
      faults: work.marked && fault ? [{ fault: fault.code, severity: "marked", reps: "some" }] : [],
    })),
  ).flat();
}

/** Accepts every step and every ease of that morning, one after the other, as a clinician would. */
function signEverything(file: CaseFile, at: string, n: number): void {
  const review = reviewCase({ ...file, asOf: at });
  for (const { itemId, prescription } of review.items) {
    const present = reviewCase({ ...file, asOf: at });
    const proposal = present.items.find((item) => item.itemId === itemId)?.proposal;
    const change = proposal?.change;
    if (!proposal || !change || !("knob" in change)) continue;
    file.decisions.push({
      id: `decision-${n}-${itemId}`,
      itemId,
      at,
      action: "accept",
      signedBy: "staff",
      reason: null,
      school: present.school,
      proposal,
      ...acceptedChange(proposal, prescription, at),
    });
    file.items
      .find((item) => item.id === itemId)
      ?.prescriptions.push({ id: `${itemId}-${n + 1}`, from: at, prescription: change.prescription });
  }
}

function exerciseOf(id: string) {
  const found = startingExercises.find((exercise) => exercise.id === id);
  if (!found) throw new RangeError(`no exercise ${id}`);
  return found;
}

function hoursLater(at: string, hours: number): string {
  return new Date(Date.parse(at) + hours * 3_600_000).toISOString();
}
