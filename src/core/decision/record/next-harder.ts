import type { DemandBook } from "~/core/demand/demand-book";
import { aimFarther } from "~/core/progression/aim-farther";
import { turnTo } from "~/core/progression/change";
import { variantOf } from "~/core/exercise/exercise";
import { harder, type Harder } from "~/core/progression/harder";
import { obstacle } from "~/core/limit/obstacle";
import type { DecideInput } from "~/core/decision/record/decide-input";
import { sameSetting } from "~/core/exercise/same-setting";
import type { Prescription } from "~/core/exercise/prescription";
import type { Restriction } from "~/core/limit/restriction";
import { restingKnobs } from "./knob-history";
import { takenByEase } from "./taken-by-ease";

/** A setting that stands in the plan by itself is not climbed into. */
const standsBeside: Restriction = {
  kind: "note",
  origin: "plan",
  says: "stands in the plan already, as a setting of its own",
};

/**
 * What would be turned next on an item, given what was signed before: first what an ease took, then the variant's own
 * order without the knobs that rest.
 *
 * @param today local date (YYYY-MM-DD), for limits that end
 * @param book what settings ask of this body
 * @param reachedCm what was really reached on the last day, where that was measured: the next reach is aimed from there
 */
export function nextHarder(
  input: Pick<DecideInput, "exercise" | "prescription" | "changes" | "restrictions" | "beside">,
  today: string,
  book: DemandBook,
  reachedCm: number | null = null,
): Harder {
  const { exercise, restrictions } = input;
  const aim = reachedCm === null ? null : aimFarther(exercise, input.prescription, reachedCm);
  const found = fartherTo(aim, turnedNext(input, today, book), (aimed) => {
    const variant = variantOf(exercise, aimed.variantId);
    const isBarred = obstacle(aimed, variant, exercise, restrictions, today, book) !== null;
    return !isBarred && book.demandOf(exercise, aimed).ok;
  });
  if (found.found !== "change") return found;
  const { knob, prescription } = found.change;
  const isBeside =
    !sameSetting(input.prescription, prescription) &&
    (input.beside ?? []).some((other) => sameSetting(other, prescription));
  return isBeside ? { found: "restriction", restriction: standsBeside, knob } : found;
}

function turnedNext(
  input: Pick<DecideInput, "exercise" | "prescription" | "changes" | "restrictions">,
  today: string,
  book: DemandBook,
): Harder {
  const { exercise, prescription, restrictions } = input;
  const leaveAlone = restingKnobs(input.changes);
  const owed = takenByEase(input);
  if (!owed || leaveAlone.includes(owed.knob))
    return harder(exercise, prescription, { restrictions, today, book, leaveAlone });
  const variant = variantOf(exercise, owed.prescription.variantId);
  const stop = obstacle(owed.prescription, variant, exercise, restrictions, today, book);
  return stop
    ? { found: "restriction", restriction: stop, knob: owed.knob }
    : { found: "change", change: owed };
}

/** A reach goes on from what was really reached, where that is farther than the next of the ladder, and this body can and may. */
function fartherTo(
  aim: number | null,
  found: Harder,
  isOpen: (prescription: Prescription) => boolean,
): Harder {
  if (aim === null || found.found !== "change" || found.change.knob !== "reach") return found;
  const { kind, from, to, prescription } = found.change;
  if (kind !== "knob" || typeof to !== "number" || aim <= to) return found;
  const farther = turnTo(prescription, "reach", aim);
  return isOpen(farther.prescription) ? { found: "change", change: { ...farther, from } } : found;
}
