import { nextHarder } from "~/core/decision/record/next-harder";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { DemandBook } from "~/core/demand/demand-book";
import type { Dose } from "~/core/dose/dose";
import { heavySlowDays } from "~/core/dose/heavy-slow-calendar";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import { addDays } from "~/core/schedule/local-day";

/** A step that a schedule may take, at the earliest on this date and if every one before it goes well; or what stops it then. */
export interface StepAhead {
  readonly on: string;
  readonly knob: string | null;
  readonly from: KnobValue | null;
  readonly to: KnobValue | null;
  /** The variant that it goes to, where that changes. */
  readonly variantId: string | null;
  readonly stoppedBy: string | null;
}

/** Days from step to step on one variable (common practice: runs and contacts once a week). */
const weekly = 7;

/** Days that a scheduled dose stays where it is; null for one that no calendar steps. */
function daysAt({ policy, reps }: Dose): number | null {
  if (policy === "running" || policy === "contacts") return weekly;
  return policy === "scheduled" ? heavySlowDays(reps?.top ?? 0) || null : null;
}

type Scheduled = Pick<DecideInput, "exercise" | "prescription" | "changes" | "restrictions" | "beside">;

/**
 * The steps that a running, landing or heavy-slow schedule may take until a date. A forecast: pain, form and the record decide
 * whether any of them is taken.
 *
 * @param item as it stands; `prescribedOn` is the local date since which it does
 * @param today local date; steps that were due before may be taken today
 * @param until last date that is looked at
 * @param book what settings ask of this body
 * @returns in order; empty for a dose that no calendar steps
 * Source: handbook of decisions, common practice; heavy-slow calendar Kongsgaard 2009, recalled.
 */
export function stepsAhead(
  { prescribedOn, ...item }: Scheduled & { readonly prescribedOn: string },
  { today, until }: { readonly today: string; readonly until: string },
  book: DemandBook,
): StepAhead[] {
  const steps: StepAhead[] = [];
  let prescription: Prescription = item.prescription;
  let since = prescribedOn;
  let changes = item.changes;
  for (;;) {
    const days = daysAt(prescription.dose);
    if (days === null) return steps;
    const due = addDays(since, days);
    const on = due < today ? today : due;
    if (on > until) return steps;
    const found = nextHarder({ ...item, prescription, changes }, on, book);
    if (found.found === "restriction")
      return [
        ...steps,
        {
          on,
          knob: found.knob ?? null,
          from: null,
          to: null,
          variantId: null,
          stoppedBy: found.restriction.says,
        },
      ];
    if (found.found !== "change") return steps;
    const { knob, from, to, prescription: next } = found.change;
    const isMoved = next.variantId !== prescription.variantId;
    steps.push({ on, knob, from, to, variantId: isMoved ? next.variantId : null, stoppedBy: null });
    prescription = next;
    since = on;
    changes = [];
  }
}
