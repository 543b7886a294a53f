import type { Change } from "~/core/progression/change";
import type { Finding } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import type { RecordView } from "~/core/decision/record/record-view";
import { absenceFirstFromDays, daysAway, rebaselineAfterDays } from "./absence";
import { easeCauses, type EaseCause } from "./ease-cause";
import { easierVariantRemedy, oneSetFewer } from "./ease-remedy";

/**
 * Ease: the first cause that the record shows names the rule and chooses what is turned.
 * What a limit in force bars is passed over. A second ease running asks for an easier variant and a review. At the easiest setting: one set fewer down to
 * one, then a swap, then a review of the lane.
 */
export function ease(view: RecordView): Finding | null {
  const away = daysAway(view);
  if (away > rebaselineAfterDays) return null;
  const seen = easeCauses
    .map((cause) => ({ cause, found: cause.seen(view) }))
    .filter((entry): entry is { cause: EaseCause; found: Evidence } => entry.found !== null)
    .sort((a, b) => rankOf(a.cause, away) - rankOf(b.cause, away));
  const first = seen[0];
  if (!first) return null;
  const second = view.lastChange?.direction === "easier";
  const { change, notes } = choose(view, first.cause, second);
  return {
    outcome: "ease",
    rule: `ease-${first.cause.code}`,
    evidence: [...seen.map((entry) => entry.found), ...suspicion(view, first.cause), ...notes],
    change,
    ...(second || change.kind === "offer" ? { review: true } : {}),
  };
}

/** After a long absence it comes before what was felt. */
const rankOf = ({ code }: EaseCause, away: number) =>
  code === "absence" && away >= absenceFirstFromDays ? 0 : 1;

/** Why the reaction is laid at this item's door. */
function suspicion({ input: { flare } }: RecordView, cause: EaseCause): Evidence[] {
  return cause.code === "flare" && flare?.suspect ? [evidence("flare-suspect", { why: flare.why })] : [];
}

function choose(view: RecordView, cause: EaseCause, second: boolean): { change: Change; notes: Evidence[] } {
  const running = second ? [evidence("second-ease-running")] : [];
  const remedies = second ? [easierVariantRemedy, ...cause.remedies(view)] : cause.remedies(view);
  for (const remedy of remedies) {
    const change = remedy(view);
    if (change && view.allows(change.prescription)) return { change, notes: running };
  }
  const notes = [...running, evidence("easiest-setting")];
  const fewer = oneSetFewer(view);
  if (fewer && view.allows(fewer.prescription)) return { change: fewer, notes };
  const swapped = view.lastChange?.direction === "other";
  return { change: { kind: "offer", offer: swapped ? "lane-review" : "swap" }, notes };
}
