import type { Proposal, SignedChange } from "~/core/decision/record/decide-input";
import { canAccept } from "~/core/decision/record/can-accept";
import { findKnob } from "~/core/exercise/knob";
import { byHand } from "~/core/progression/by-hand";
import type { Change, TurnedChange } from "~/core/progression/change";
import type { Prescription } from "~/core/exercise/prescription";
import type { FieldProblem } from "~/core/schema/field-problem";

/** One knob turned one notch by a clinician's own choice; `blockedBy` names the limit that bars it. */
export interface OfferedChange extends TurnedChange {
  readonly direction: "harder" | "easier";
  readonly blockedBy: string | null;
}

/** What a clinician answers to a proposal. */
export interface Answer {
  readonly action: "accept" | "change" | "refuse";
  readonly reason?: string | undefined;
  readonly alternative?:
    | { readonly direction: string; readonly kind: string; readonly knob: string }
    | undefined;
  /** A whole prescription by the clinician's own hand, of the same exercise, that has been found sensible. */
  readonly prescription?: Prescription | undefined;
}

/** What an answer is given to: the proposal, and what could be chosen instead. */
export interface Asked {
  readonly proposal: Proposal;
  readonly prescription: Prescription;
  readonly alternatives: readonly OfferedChange[];
  /** A signal is open that lets nothing be made harder, in this item or another. */
  readonly halted?: boolean;
}

type Signed =
  | { readonly ok: true; readonly applied: Change | null; readonly signedChange: SignedChange | null }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

const refused = (path: string, problem: string): Signed => ({ ok: false, problems: [{ path, problem }] });

/**
 * What an answer does to an item, and how it stands in the record from then on; or why it cannot be given: against a
 * proposal without a reason, to a proposal that asks for nothing, a change that is not offered,
 * barred, or harder while the item is stopped or a signal is open.
 *
 * @param at ISO instant of the signature
 */
export function signAnswer(answer: Answer, asked: Asked, at: string): Signed {
  const { proposal } = asked;
  if (answer.action === "change" && answer.prescription)
    return ownHand({ ...answer, prescription: answer.prescription }, asked, at);
  if (answer.action !== "accept" && !answer.reason)
    return refused("/reason", "is needed when you decide against the proposal");
  if (answer.action === "refuse") return { ok: true, applied: null, signedChange: null };
  if (answer.action === "accept") {
    if (!canAccept(proposal)) return refused("/action", "is not open: the proposal asks for no change");
    return { ok: true, ...acceptedChange(proposal, asked.prescription, at) };
  }
  const { alternative: wanted } = answer;
  const found = asked.alternatives.find(
    (a) => a.direction === wanted?.direction && a.kind === wanted.kind && a.knob === wanted.knob,
  );
  if (!found) return refused("/alternative", "is not a change that this exercise has");
  if (proposal.outcome === "stop" && found.direction === "harder")
    return refused("/alternative", stopsHarder);
  if (asked.halted && found.direction === "harder") return refused("/alternative", haltsHarder);
  if (found.blockedBy !== null) return refused("/alternative", `is blocked: ${found.blockedBy}`);
  const { direction, blockedBy: _free, ...applied } = found;
  const signedChange: SignedChange = { at, direction, knob: applied.knob, before: asked.prescription };
  return { ok: true, applied, signedChange };
}

const stopsHarder = "is not open: the item is stopped until it is cleared";
const haltsHarder = "is not open: a stop signal is open; nothing gets harder until it is cleared";

/** A prescription of the clinician's own: a reason only where it goes against what is proposed. */
function ownHand(
  { reason, prescription }: Answer & { prescription: Prescription },
  { proposal, halted, prescription: before }: Asked,
  at: string,
): Signed {
  const hand = byHand(before, prescription);
  if (!hand) return refused("/prescription", "changes nothing");
  const { change: applied, direction, anyHarder } = hand;
  if (anyHarder && proposal.outcome === "stop") return refused("/prescription", stopsHarder);
  if (anyHarder && halted) return refused("/prescription", haltsHarder);
  if (isAgainst(proposal, direction, anyHarder) && !reason)
    return refused("/reason", "is needed when you decide against the proposal");
  const [only, ...more] = applied.altered;
  const knob = only !== undefined && more.length === 0 && findKnob(only) ? { knob: only } : {};
  return { ok: true, applied, signedChange: { at, direction, before, ...knob } };
}

/** An ease or a stop that is not followed by something easier, or more than was proposed. */
export function isAgainst(
  { outcome }: Pick<Proposal, "outcome">,
  direction: "harder" | "easier" | "other",
  anyHarder: boolean,
): boolean {
  if (outcome === "ease" || outcome === "stop") return direction !== "easier";
  return anyHarder && outcome !== "step-up";
}

/**
 * What accepting a proposal applies, and how that stands in the record: with the cause where it was an ease.
 *
 * @param before the prescription it is applied to
 */
export function acceptedChange(
  { outcome, rule, change }: Proposal,
  before: Prescription,
  at: string,
): { applied: Change | null; signedChange: SignedChange | null } {
  if (!change) return { applied: null, signedChange: null };
  if (!("knob" in change)) return { applied: change, signedChange: { at, direction: "other" } };
  const eased = outcome === "ease";
  const signedChange: SignedChange = {
    at,
    direction: eased ? "easier" : "harder",
    knob: change.knob,
    before,
    ...(eased ? { cause: easeCauseOf(rule) } : {}),
  };
  return { applied: change, signedChange };
}

/** The cause that an ease's rule names. */
function easeCauseOf(rule: string): NonNullable<SignedChange["cause"]> {
  return rule.replace(/^ease-/, "") as NonNullable<SignedChange["cause"]>;
}
