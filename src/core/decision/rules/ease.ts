import type { Change } from "~/core/progression/change";
import type { Finding } from "~/core/decision/record/decide-input";
import { evidence, type Evidence } from "~/core/decision/record/evidence";
import { daysBetween, localDay } from "~/core/schedule/local-day";
import type { RecordView } from "~/core/decision/record/record-view";
import { absenceFirstFromDays, daysAway, rebaselineAfterDays } from "./absence";
import { easeCauses, type EaseCause } from "./ease-cause";
import { easierVariantRemedy, kneeDrifts, oneSetFewer } from "./ease-remedy";

/**
 * Ease: the first cause that the record shows names the rule and chooses what is turned.
 * What a limit in force bars is passed over. A second ease running, within 28 days and no step between, asks for an easier
 * variant and a review. At the easiest setting: one set fewer down to one, then a swap, then a review of the lane.
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
  const second = isSecondRunning(view, first.cause);
  const { change, notes } = choose(view, first.cause, second);
  return {
    outcome: "ease",
    rule: `ease-${first.cause.code}`,
    evidence: [
      ...seen.map((entry) => entry.found),
      ...suspicion(view, first.cause),
      ...cueFirst(view, first.cause, change),
      ...notes,
    ],
    change,
    ...(second || change.kind === "offer" ? { review: true } : {}),
  };
}

/** Causes that say nothing of how the work was borne. */
const apart: ReadonlySet<string> = new Set(["absence", "beyond-limit"]);
const runningDays = 28;

/** An ease of this item within 28 days, with no step between: two are running. */
function isSecondRunning({ input: { changes, zone }, today }: RecordView, { code }: EaseCause): boolean {
  if (apart.has(code)) return false;
  const lastStep = changes.findLastIndex(({ direction }) => direction === "harder");
  return changes
    .slice(lastStep + 1)
    .some(
      ({ direction, cause, at }) =>
        direction === "easier" &&
        !apart.has(cause ?? "") &&
        daysBetween(localDay(at, zone), today) <= runningDays,
    );
}

/** After a long absence it comes before what was felt. */
const rankOf = ({ code }: EaseCause, away: number) =>
  code === "absence" && away >= absenceFirstFromDays ? 0 : 1;

/** A knee that drifts inward is cued before anything is taken away. */
function cueFirst(view: RecordView, { code }: EaseCause, change: Change): Evidence[] {
  const isCue = "knob" in change && change.knob === "knee-guide";
  return code === "marked-fault" && !isCue && kneeDrifts(view) ? [evidence("cue-first")] : [];
}

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
