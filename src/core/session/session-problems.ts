import type { Dose } from "~/core/dose/dose";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Variant } from "~/core/exercise/exercise";
import type { WorkSides } from "~/core/exercise/sides-of";
import { findKnob } from "~/core/exercise/knob";
import type { SetRecord } from "~/core/response/session-record";

/** What a set of an item is checked against. */
export interface SetExpectation {
  readonly dose: Dose;
  readonly sides: WorkSides;
  /** The knobs of the movement as prescribed. */
  readonly settings: Variant["settings"];
}

/**
 * What is wrong with one recorded set: work missing that the dose counts, the wrong side, more spoiled repetitions than
 * were done, a knob that the movement does not have.
 *
 * @param path where the set stands, for messages
 */
export function setProblems(
  set: SetRecord,
  { dose, sides, settings }: SetExpectation,
  path: string,
): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const need = (key: "reps" | "holdSeconds" | "contacts" | "minutes", asked: unknown, what: string) => {
    if (asked !== undefined && set[key] === undefined)
      problems.push({ path: `${path}/${key}`, problem: what });
  };
  need("reps", dose.reps, "is missing: this exercise counts repetitions");
  if (!dose.reps) need("holdSeconds", dose.hold, "is missing: this exercise is held for seconds");
  need("contacts", dose.contacts, "is missing: this exercise counts ground contacts");
  need("minutes", dose.minutes, "is missing: this exercise is done for minutes");
  if ((set.side === "both") !== (sides === "both-together")) {
    problems.push({
      path: `${path}/side`,
      problem: sides === "both-together" ? "must be both: the legs share this work" : "must be left or right",
    });
  }
  const { painArc, painSite } = set;
  if (painArc?.toDeg !== undefined && painArc.toDeg < painArc.fromDeg)
    problems.push({
      path: `${path}/painArc/toDeg`,
      problem: `ends before it begins, at ${painArc.fromDeg}°`,
    });
  if (painArc && painSite !== "episode")
    problems.push({ path: `${path}/painArc`, problem: "is asked of pain at the site only" });
  set.faults.forEach((fault, f) => {
    if (typeof fault.reps === "number" && set.reps !== undefined && fault.reps > set.reps) {
      problems.push({
        path: `${path}/faults/${f}/reps`,
        problem: `is more than the ${set.reps} reps of the set`,
      });
    }
  });
  for (const [name, value] of Object.entries(set.settings ?? {})) {
    if (settings[name] === undefined) {
      problems.push({ path: `${path}/settings/${name}`, problem: "is not a knob of this movement" });
    } else if (!findKnob(name)?.accepts(value)) {
      problems.push({ path: `${path}/settings/${name}`, problem: `cannot stand at ${value}` });
    }
  }
  return problems;
}

const fastestRepSeconds = 0.5;

/**
 * The least time that recorded work can have taken: half a second a repetition or contact, holds and minutes as they
 * stand, rests not counted; the two sides one after the other.
 *
 * @returns seconds
 * @example leastSeconds([{ reps: 10, holdSeconds: 5 }]) // 55
 */
export function leastSeconds(sets: readonly SetRecord[]): number {
  return sets.reduce((sum, { reps = 0, holdSeconds = 0, contacts = 0, minutes = 0 }) => {
    const holds = reps > 0 ? reps * holdSeconds : holdSeconds;
    return sum + (reps + contacts) * fastestRepSeconds + holds + minutes * 60;
  }, 0);
}
