import type { Demand } from "~/core/demand/demand";
import type { DemandBook, Told } from "~/core/demand/demand-book";
import { labelBook } from "~/core/demand/label-book";
import { phases, type Phase } from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import { kitNeeded, loadKit } from "~/core/exercise/kit-needed";
import { findKnob } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import { brokenBy } from "./broken-by";
import type { Predicate } from "./limit";
import { predicatesOf } from "./predicates-of";
import { inForce, type Restriction } from "./restriction";

/** A limit of the record, with whose it is and its words. */
type Of<K extends Restriction["kind"]> = Extract<Restriction, { kind: K }>;

interface Subject {
  readonly prescription: Prescription;
  readonly variant: Variant;
  readonly exercise: Exercise;
}

/**
 * The first restriction that a prescription would break on `today`, or null when none is broken. The surgeon's and the
 * procedure's are named before any other. What cannot be drawn for this body breaks
 * every limit that only a drawing can judge: ranges, weight, which leg carries.
 *
 * Both legs are asked about: whoever does an exercise on each side stands on the involved leg while the other works. Where only
 * one leg works, the involved one is asked about as the leg it is then.
 *
 * @param today local date (YYYY-MM-DD); a restriction holds from its `from` up to and including its `until`
 * @param book what prescriptions ask of this body
 */
export function obstacle(
  prescription: Prescription,
  variant: Variant,
  exercise: Exercise,
  restrictions: readonly Restriction[],
  today: string,
  book: DemandBook,
): Restriction | null {
  return obstacleUnder(restrictions, today, book)(prescription, variant, exercise);
}

/** Tells what many prescriptions would break, under the same restrictions on the same day: see `obstacle`. */
export function obstacleUnder(
  restrictions: readonly Restriction[],
  today: string,
  book: DemandBook,
): (prescription: Prescription, variant: Variant, exercise: Exercise) => Restriction | null {
  const inOrder = restrictions
    .filter((r) => inForce(r, today))
    .sort((a, b) => rankOf(a) - rankOf(b))
    .map((limit) => ({ limit, questions: predicatesOf(limit) }));
  return (prescription, variant, exercise) => {
    const subject = { prescription, variant, exercise };
    let told: Told | undefined;
    const demand = () => (told ??= book.demandOf(exercise, prescription));
    return inOrder.find((asked) => isBroken(asked, subject, demand))?.limit ?? null;
  };
}

/** A restriction with the questions it puts to a demand. */
interface Asked {
  readonly limit: Restriction;
  readonly questions: readonly Predicate[];
}

/** The surgeon's first, then the procedure's. */
const rankOf = ({ origin }: Restriction) => (origin === "surgeon" ? 0 : origin === "procedure" ? 1 : 2);

function isBroken({ limit, questions }: Asked, subject: Subject, told: () => Told): boolean {
  if (isOfWords(limit)) return brokenWords(limit, subject);
  if (limit.kind === "kit") return beyondKit(limit, subject);
  if (limit.kind === "forbid" && limit.codes.some((code) => subject.exercise.forbiddenBy?.includes(code)))
    return true;
  if (questions.length === 0) return false;
  const answer = told();
  if (questions.some((ask) => isUnsaid(ask, answer.exercise, subject.variant))) return true;
  const breaks = (demand: Demand) =>
    questions.some((ask) => brokenBy(ask, { demand, involved: legAsked(subject), kit: [] }) !== null);
  if (answer.ok) return breaks(answer.demand);
  // What words can answer, they answer; what only a drawing can, or the exercise's own word, is not let pass.
  if (questions.some(({ kind }) => needsDrawing.has(kind))) return true;
  const byWords = labelBook.demandOf(answer.exercise, subject.prescription);
  return !byWords.ok || breaks(byWords.demand);
}

/** What the involved leg does in it. */
function legAsked({ exercise, prescription }: Subject): "working" | "other" | "both" {
  if (sidesOf(exercise, prescription) !== "one-side") return "both";
  return prescription.leg === "other" ? "other" : "working";
}

const needsDrawing: ReadonlySet<Predicate["kind"]> = new Set([
  "range",
  "weight",
  "legs",
  "straight-leg-raise",
]);

/** What the codes of definitions said before exercises had words of their own for it. */
const saidByCodes: readonly string[] = [
  "resisted hamstrings",
  "resisted quadriceps",
  "lengthened adductors",
  "lengthened hamstrings",
];

/** Whether nobody has said what an exercise does with a muscle: no drawing tells, so it is not let pass. Work of the arms is. */
function isUnsaid(ask: Predicate, exercise: Exercise, variant: Variant): boolean {
  if (exercise.asks || variant.asks || exercise.lane === "upper-body") return false;
  if (ask.kind !== "resisted" && ask.kind !== "lengthened" && ask.kind !== "stretched") return false;
  return exercise.forbiddenBy === undefined || !saidByCodes.includes(`${ask.kind} ${ask.muscle}`);
}

type OfWords = Of<"knob-limit"> | Of<"variants"> | Of<"phases"> | Of<"note">;
const isOfWords = (limit: Restriction): limit is OfWords =>
  ["knob-limit", "variants", "phases", "note"].includes(limit.kind);

/** Limits of a plan's own words: how far a knob may be turned, which variants and phases belong to a stage. */
function brokenWords(limit: OfWords, { prescription, variant, exercise }: Subject): boolean {
  switch (limit.kind) {
    case "knob-limit": {
      const knob = findKnob(limit.knob);
      // A limit that nobody can judge bars: what it means is for a person to say.
      if (!knob?.accepts(limit.hardest)) return true;
      const value = knob.read(prescription);
      if (value === undefined) return false;
      if (limit.knob === "arc") return !liesWithin(String(value), String(limit.hardest));
      return knob.rank(value) > knob.rank(limit.hardest);
    }
    case "variants":
      return !limit.allowed.includes(prescription.variantId);
    case "phases": {
      // Work on range is never too late: no later stage takes it away, and every ease may come back to it.
      if (variant.phase === undefined || variant.phase === "range") return false;
      return !phasesFor(limit, exercise.lane).includes(variant.phase);
    }
    case "note":
      return false;
  }
}

/**
 * The phases that a stage allows for work of a lane: its own where the stage names the lane. Other lanes go no further than the
 * stage does; in a stage of range and isometrics alone only range, for a held squat of another lane is no early work. Arms are not bound.
 */
function phasesFor({ lanes }: Of<"phases">, lane: Exercise["lane"]): readonly Phase[] {
  const own = lanes.find((entry) => entry.lane === lane);
  if (own) return own.phases;
  if (lane === "upper-body") return phases;
  const any = new Set(lanes.flatMap((entry) => entry.phases));
  const isEarly = ![...any].some((phase) => phase !== "range" && phase !== "isometric");
  return isEarly ? ["range"] : ["range", ...any];
}

/** An arc lies within another by its ends; how wide it is says nothing. */
function liesWithin(arc: string, limit: string): boolean {
  const ends = (text: string) => text.split("-").map(Number) as [number, number];
  const [[from, to = from], [least, most = least]] = [ends(arc), ends(limit)];
  return from >= least && to <= most;
}

/** Kit that is not there, or a load heavier than anything on the shelf. */
function beyondKit({ available, shelfKg = {} }: Of<"kit">, { prescription, variant }: Subject): boolean {
  const missing = kitNeeded(variant, prescription).some((piece) => !available.includes(piece));
  const made = loadKit(variant, prescription);
  const heaviest = made === undefined ? undefined : shelfKg[made]?.at(-1);
  return missing || (heaviest ?? Infinity) < (prescription.dose.loadKg ?? 0);
}
