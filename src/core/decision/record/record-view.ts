import { variantOf } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { shelfUnder, type Restriction } from "~/core/limit/restriction";
import type { Demand } from "~/core/demand/demand";
import type { Shelf } from "~/core/progression/notch";
import type { DemandBook } from "~/core/demand/demand-book";
import { labelBook } from "~/core/demand/label-book";
import type { Harder } from "~/core/progression/harder";
import type { DayJudgement } from "~/core/response/judge-day";
import { localDay } from "~/core/schedule/local-day";
import { once } from "~/core/work/once";
import type { DecideInput, SignedChange } from "./decide-input";
import { judgedDays } from "./judged-days";
import { nextHarder } from "./next-harder";

/** The record of one item as the rules read it: judged days, oldest first, and what has been signed. */
export interface RecordView {
  /** What is known of the item at its `now`: nothing that happened or was signed later stands in it. */
  readonly input: DecideInput;
  readonly today: string;
  /** Local date on which the present prescription began to hold. */
  readonly prescribedOn: string;
  /** Local date of a clinician's last answer; null where nobody has answered. */
  readonly answeredOn: string | null;
  /** All judged training days up to now. */
  readonly allDays: readonly DayJudgement[];
  /** Days worked at the present prescription. */
  readonly days: readonly DayJudgement[];
  readonly lastChange: SignedChange | undefined;
  /** What would be turned next, or what stands in its way; worked out when it is first looked at, as `beyond` is. */
  readonly next: Harder;
  /** The limit that the present prescription breaks already, or null. */
  readonly beyond: Restriction | null;
  /** The loads to hand, by kit. */
  readonly shelf: Shelf;
  /** What a prescription asks of the body; null where nobody can tell. */
  readonly demandOf: (prescription: Prescription) => Demand | null;
  /** Whether no limit in force bars a prescription for this body. */
  readonly allows: (prescription: Prescription) => boolean;
}

/**
 * Judges and sorts the record. Rules read it only through this: what lies after `now` is not seen.
 *
 * @param judged the judged training days of this very input, where that has been done already
 * @param book what settings ask of this body; what variants say of themselves where nobody knows it
 */
export function viewRecord(
  input: DecideInput,
  judged: readonly DayJudgement[] = judgedDays(input),
  book: DemandBook = labelBook,
): RecordView {
  const known = knownAt(input);
  const allDays = inOrder(judged, (day) => day.lastSessionAt, input.now);
  const days = allDays.filter((day) => after(day.lastSessionAt, input.prescribedAt));
  const today = localDay(input.now, input.zone);
  const stopOf = (prescription: Prescription) => {
    const variant = variantOf(input.exercise, prescription.variantId);
    return obstacle(prescription, variant, input.exercise, input.restrictions, today, book);
  };
  const next = once(() => nextHarder(known, today, book, reachedIn({ days })));
  const beyond = once(() => stopOf(input.prescription));
  return {
    input: known,
    today,
    prescribedOn: localDay(input.prescribedAt, input.zone),
    answeredOn: known.answeredAt === undefined ? null : localDay(known.answeredAt, input.zone),
    allDays,
    days,
    lastChange: known.changes.at(-1),
    get next() {
      return next();
    },
    get beyond() {
      return beyond();
    },
    shelf: shelfUnder(input.restrictions, today),
    demandOf: (prescription) => {
      const told = book.demandOf(input.exercise, prescription);
      return told.ok ? told.demand : null;
    },
    allows: (prescription) => stopOf(prescription) === null,
  };
}

/** How far was reached on the last day that was worked at the present prescription, centimetres; null where nobody measured it. */
export const reachedIn = ({ days }: Pick<RecordView, "days">): number | null =>
  days.at(-1)?.reachedCm ?? null;

/** The input without what came after its `now`: later changes, answers, clearances and signals. */
function knownAt(input: DecideInput): DecideInput {
  const { now } = input;
  const isLater = (at: string | undefined) => at !== undefined && after(at, now);
  const known: { -readonly [K in keyof DecideInput]: DecideInput[K] } = {
    ...input,
    changes: inOrder(input.changes, (change) => change.at, now),
    stopSignals: inOrder(input.stopSignals, (signal) => signal.raisedAt, now).map(
      ({ clearedAt, ...signal }) => ({
        ...signal,
        ...(clearedAt === undefined || isLater(clearedAt) ? {} : { clearedAt }),
      }),
    ),
  };
  if (isLater(known.answeredAt)) delete known.answeredAt;
  if (isLater(known.leftAsIsAt)) delete known.leftAsIsAt;
  if (isLater(known.clearedAt)) delete known.clearedAt;
  return known;
}

/** Entries up to an instant, oldest first. */
function inOrder<T>(entries: readonly T[], instant: (entry: T) => string, now: string): T[] {
  const until = Date.parse(now);
  const seen = entries.filter((entry) => Date.parse(instant(entry)) <= until);
  if (seen.length < 2) return seen;
  return seen
    .map((entry) => ({ entry, at: Date.parse(instant(entry)) }))
    .sort((a, b) => a.at - b.at)
    .map(({ entry }) => entry);
}

/** The same record with a budget of changes to keep to. */
export const withBudget = (view: RecordView, changeBudget: DecideInput["changeBudget"]): RecordView => ({
  ...view,
  input: { ...view.input, changeBudget },
});

/** The same record as it would be if every open day were reported fine. */
export function withOpenDaysFine(view: RecordView): RecordView {
  const fine = (day: DayJudgement): DayJudgement =>
    day.state === "open" ? { ...day, state: "reported", nextDay: "fine" } : day;
  return { ...view, allDays: view.allDays.map(fine), days: view.days.map(fine) };
}

/** True when `instant` lies after `mark`, or when there is no mark. */
export function after(instant: string, mark: string | undefined): boolean {
  return mark === undefined || Date.parse(instant) > Date.parse(mark);
}
