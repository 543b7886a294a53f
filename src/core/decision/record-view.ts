import type { DayJudgement } from "~/core/response/judge-day";
import { localDay } from "~/core/schedule/local-day";
import type { DecideInput, SignedChange } from "./decide-input";
import { judgedDays } from "./judged-days";

/** The record of one item as the rules read it: judged days, oldest first, and what has been signed. */
export interface RecordView {
  readonly input: DecideInput;
  readonly today: string;
  /** All judged training days up to now. */
  readonly allDays: readonly DayJudgement[];
  /** Days worked at the present prescription. */
  readonly days: readonly DayJudgement[];
  readonly lastChange: SignedChange | undefined;
}

/** Judges and sorts the record. Days and changes after `now` are not seen. */
export function viewRecord(input: DecideInput): RecordView {
  const seen = (at: string) => Date.parse(at) <= Date.parse(input.now);
  const allDays = judgedDays(input)
    .filter((day) => seen(day.lastSessionAt))
    .sort((a, b) => Date.parse(a.lastSessionAt) - Date.parse(b.lastSessionAt));
  const changes = input.changes
    .filter((change) => seen(change.at))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return {
    input,
    today: localDay(input.now, input.zone),
    allDays,
    days: allDays.filter((day) => after(day.lastSessionAt, input.prescribedAt)),
    lastChange: changes.at(-1),
  };
}

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
