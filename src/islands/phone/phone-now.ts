import type { PhoneItem, PhoneView } from "~/contract/phone";
import { stopSignal } from "~/core/intake/stop-signal";
import { addDays, localDay } from "~/core/schedule/local-day";
import type { Waiting } from "./phone-store";
import { stopsAll } from "./stops-all";

/** How the plan stands on the phone right now: as the clinic sent it, with what was done since and has not been sent. */
export interface PhoneNow {
  readonly today: string;
  readonly items: readonly PhoneItem[];
  readonly todays: readonly PhoneItem[];
  /** Where today's work is done, if it is not at home. */
  readonly where: "clinic" | "away" | null;
  /** What of today goes before a training; null on a day without one. */
  readonly beforeTraining: readonly PhoneItem[] | null;
  readonly halted: PhoneView["halted"];
  readonly doneToday: boolean;
  /** The training day whose morning after can be told now. */
  readonly morningOf: string | null;
}

/**
 * @param waiting what was told here and is still to be sent, oldest first
 * @param now by the clinic's clock, as far as the phone knows it
 * @example phoneNow({ zone: "UTC", items: [], days: [], doneOn: ["2026-03-09"], morningOf: null, halted: null }, [], "2026-03-09T20:00:00Z").doneToday // true
 */
export function phoneNow(
  view: Pick<PhoneView, "zone" | "items" | "days" | "doneOn" | "morningOf" | "halted">,
  waiting: readonly Waiting[],
  now: string,
): PhoneNow {
  const today = localDay(now, view.zone);
  const told = signalsWaiting(waiting);
  const halting = told.find(({ code }) => stopsAll(code));
  const stoppedHere = new Set(told.map(({ itemId }) => itemId));
  const items = view.items.map((item) =>
    halting || stoppedHere.has(item.itemId) ? { ...item, stopped: true } : item,
  );
  const doneHere = waiting.flatMap((one) =>
    one.name === "tellSession" ? [localDay(one.body.occurredAt, view.zone)] : [],
  );
  const done = new Set([...view.doneOn, ...doneHere]);
  const laid = view.days.find(({ date }) => date === today);
  const todays = laid
    ? laid.items.flatMap((id) => items.find(({ itemId }) => itemId === id) ?? [])
    : items.filter(({ doneDays, wantedDays }) => doneDays < wantedDays || done.has(today));
  return {
    today,
    items,
    todays,
    where: laid?.where ?? null,
    beforeTraining: laid?.beforeTraining
      ? todays.filter(({ itemId }) => laid.beforeTraining?.includes(itemId))
      : null,
    halted:
      view.halted ?? (halting ? { code: halting.code, urgency: stopSignal(halting.code).urgency } : null),
    doneToday: done.has(today),
    morningOf: morningOf(view, waiting, doneHere, today),
  };
}

const signalsWaiting = (waiting: readonly Waiting[]) =>
  waiting.flatMap((one) => (one.name === "tellSignal" ? [one.body] : []));

/** The last day of work before today, where nobody has told of its morning; two days later it is too late. */
function morningOf(
  view: Pick<PhoneView, "morningOf">,
  waiting: readonly Waiting[],
  doneHere: readonly string[],
  today: string,
): string | null {
  const told = new Set(waiting.flatMap((one) => (one.name === "tellMorning" ? [one.body.trainingDate] : [])));
  const days = [...doneHere, ...(view.morningOf === null ? [] : [view.morningOf])]
    .filter((date) => date < today && date >= addDays(today, -2) && !told.has(date))
    .sort();
  return days.at(-1) ?? null;
}
