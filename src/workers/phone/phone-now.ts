import type { PhoneItem, PhoneView } from "~/contract/phone";
import type { BodyPlace } from "~/core/exercise/body-place";
import { stopSignal } from "~/core/intake/stop-signal";
import { painSchool } from "~/core/response/pain-school";
import { addDays, localDay } from "~/core/schedule/local-day";
import type { Waiting } from "./phone-store";
import { stopsAll } from "./stops-all";

/** How the plan stands on the phone right now: as the clinic sent it, with what was done since and has not been sent. */
export interface PhoneNow {
  readonly today: string;
  readonly items: readonly PhoneItem[];
  readonly todays: readonly PhoneItem[];
  /** What of today may be done and is not done yet. */
  readonly left: readonly PhoneItem[];
  /** Where today's work is done, if it is not at home. */
  readonly where: "clinic" | "away" | null;
  /** What of today goes before a training; null on a day without one. */
  readonly beforeTraining: readonly PhoneItem[] | null;
  readonly halted: PhoneView["halted"];
  readonly doneToday: boolean;
  /** The training day whose morning after can be told now. */
  readonly morningOf: string | null;
}

type NowView = Pick<
  PhoneView,
  "asOf" | "zone" | "school" | "items" | "days" | "doneOn" | "morningOf" | "halted"
>;

/**
 * @param waiting what was told here and is still to be sent, oldest first
 * @param now by the clinic's clock, as far as the phone knows it
 * @example phoneNow({ asOf: "2026-03-09T20:00:00Z", zone: "UTC", school: "monitored", items: [], days: [], doneOn: ["2026-03-09"], morningOf: null, halted: null }, [], "2026-03-09T20:00:00Z").doneToday // true
 */
export function phoneNow(view: NowView, waiting: readonly Waiting[], now: string): PhoneNow {
  const today = localDay(now, view.zone);
  const told = waiting.flatMap((one) => (one.name === "tellSignal" ? [one.body] : []));
  const halting = told.find(({ code }) => stopsAll(code));
  const stoppedHere = new Set(told.map(({ itemId }) => itemId));
  const doneHere = waiting.flatMap((one) =>
    one.name === "tellSession" ? [{ on: localDay(one.body.occurredAt, view.zone), body: one.body }] : [],
  );
  const untold = morningOf(
    view,
    waiting,
    doneHere.map(({ on }) => on),
    today,
  );
  const { goMax } = painSchool(view.school);
  const hurtHere = doneHere.some(({ body }) =>
    body.items.some(({ sets }) => sets.some(({ painDuring }) => painDuring > goMax)),
  );
  // More is offered as of a record that is of today and has no sign, no morning and no pain still to come from here.
  const mayPush =
    localDay(view.asOf, view.zone) === today && told.length === 0 && untold === null && !hurtHere;
  const items = view.items.map((item) => ({
    ...item,
    stopped: item.stopped || halting !== undefined || stoppedHere.has(item.itemId),
    harder: mayPush ? (item.harder ?? null) : null,
  }));
  const done = new Set([...view.doneOn, ...doneHere.map(({ on }) => on)]);
  const laid = view.days.find(({ date }) => date === today);
  const todays = laid
    ? laid.items.flatMap((id) => items.find(({ itemId }) => itemId === id) ?? [])
    : items.filter(({ doneDays, wantedDays }) => doneDays < wantedDays || done.has(today));
  const open = todays.filter(({ stopped }) => !stopped);
  const isDone = ({ itemId, lastDoneOn }: PhoneItem) =>
    lastDoneOn === today ||
    doneHere.some(({ on, body }) => on === today && body.items.some((item) => item.itemId === itemId));
  const left = open.filter((item) => !isDone(item));
  return {
    today,
    items,
    todays,
    left,
    where: laid?.where ?? null,
    beforeTraining: laid?.beforeTraining
      ? todays.filter(({ itemId }) => laid.beforeTraining?.includes(itemId))
      : null,
    halted:
      view.halted ?? (halting ? { code: halting.code, urgency: stopSignal(halting.code).urgency } : null),
    doneToday: done.has(today),
    morningOf: untold,
  };
}

/** Whether an exercise is done there; one whose place nobody told is done anywhere. */
export const isInPlace = ({ place: of }: PhoneItem, place: BodyPlace | null): boolean =>
  place === null || of === undefined || of === place;

/** What a run begins with: what is left of today, and where all is done all of it again; only what is done there. */
export function runItems(
  { left, todays }: Pick<PhoneNow, "left" | "todays">,
  place: BodyPlace | null,
): PhoneItem[] {
  const open = left.length > 0 ? left : todays.filter(({ stopped }) => !stopped);
  return open.filter((item) => isInPlace(item, place));
}

/** The last day of work before today, where nobody has told of its morning; two days later it is too late. */
function morningOf(
  view: Pick<PhoneView, "asOf" | "zone" | "doneOn" | "morningOf">,
  waiting: readonly Waiting[],
  doneHere: readonly string[],
  today: string,
): string | null {
  const told = new Set(waiting.flatMap((one) => (one.name === "tellMorning" ? [one.body.trainingDate] : [])));
  // What the clinic knew of on its own day already: nobody can have told of its morning by then.
  const readOn = localDay(view.asOf, view.zone);
  const known = view.doneOn.filter((date) => date >= readOn);
  const days = [...doneHere, ...known, ...(view.morningOf === null ? [] : [view.morningOf])]
    .filter((date) => date < today && date >= addDays(today, -2) && !told.has(date))
    .sort();
  return days.at(-1) ?? null;
}
