import type { EvidenceCode } from "~/core/decision/record/evidence";
import type { Exercise } from "~/core/exercise/exercise";
import type { Lane } from "~/core/exercise/body";
import type { TurnedChange } from "~/core/progression/change";
import { harder, type HarderOptions } from "~/core/progression/harder";
import { oneOf } from "~/core/schema/one-of";
import type { ItemReview } from "./review-case";

/** Why nobody is offered more of an exercise today, although it is allowed in writing. */
export const harderBars = ["stop", "ease", "flare", "ceiling", "unknown", "impact", "limit", "none"] as const;
export type HarderBar = (typeof harderBars)[number];
export const HarderBar = oneOf(harderBars);

/** Landings and running are counted by the week, and a good day is no measure of them. */
const impactLanes: ReadonlySet<Lane> = new Set(["landing", "running"]);

const ceilingEvidence: ReadonlySet<EvidenceCode> = new Set([
  "pain-ceiling",
  "mean-rising",
  "effusion-high",
  "effusion-raised",
  "effusion-some",
  "effusion-up",
  "knob-left-alone",
  "rebaseline",
]);
const flareEvidence: ReadonlySet<EvidenceCode> = new Set(["flare-elsewhere"]);
const unknownEvidence: ReadonlySet<EvidenceCode> = new Set(["report-missing", "open-day", "absence"]);
/** What is kept as it is, by the stage's policy or by its role in the plan. */
const keptEvidence: ReadonlySet<EvidenceCode> = new Set(["policy-fixed", "role-kept"]);

/** What can be turned for one day, or why nothing is. */
export type HarderAlone =
  | { readonly found: "change"; readonly change: TurnedChange }
  | { readonly found: "bar"; readonly bar: HarderBar };

/**
 * One notch more of an exercise for one good day, done alone: the own knob that the engine would turn next, and never another
 * variant. Not while anything of the plan is stopped, this exercise is due to be eased, a reaction is being traced, a ceiling
 * holds the plan, or how the last day was is not known; not for landings and running. It is no step: the plan stays as it is.
 *
 * @param item the exercise as it is reviewed
 * @param plan everything in the plan, reviewed
 * @example harderAlone({ itemId: "a", lane: "landing", proposal: { outcome: "hold", rule: "hold", evidence: [] } }, [], {}, {}).bar // "impact"
 * Source: common practice; that nothing gets harder under a stop, an ease, a ceiling or a flare is the rule of every step.
 */
export function harderAlone(
  item: ItemReview,
  plan: readonly ItemReview[],
  exercise: Exercise,
  options: HarderOptions,
): HarderAlone {
  const bar = barOf(item, plan);
  if (bar) return { found: "bar", bar };
  const next = harder(exercise, item.prescription, options);
  if (next.found === "restriction") return { found: "bar", bar: "limit" };
  if (next.found !== "change" || next.change.kind !== "knob") return { found: "bar", bar: "none" };
  return { found: "change", change: next.change };
}

function barOf(item: ItemReview, plan: readonly ItemReview[]): HarderBar | null {
  const { outcome, evidence } = item.proposal;
  const rests = (codes: ReadonlySet<EvidenceCode>) => evidence.some(({ code }) => codes.has(code));
  if ([item, ...plan].some(({ proposal }) => proposal.outcome === "stop")) return "stop";
  if ([item, ...plan].some(({ proposal }) => proposal.rule === "ease-flare")) return "flare";
  if (outcome === "ease") return "ease";
  if (rests(flareEvidence)) return "flare";
  if (rests(ceilingEvidence)) return "ceiling";
  if (rests(unknownEvidence)) return "unknown";
  if (rests(keptEvidence)) return "none";
  return impactLanes.has(item.lane) ? "impact" : null;
}
