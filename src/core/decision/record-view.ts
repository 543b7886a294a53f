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

const views = new WeakMap<DecideInput, RecordView>();

/** Judges and sorts the record, once for each input, which is not altered. Days and changes after `now` are not seen. */
export function viewRecord(input: DecideInput): RecordView {
  const found = views.get(input) ?? judged(input);
  views.set(input, found);
  return found;
}

function judged(input: DecideInput): RecordView {
  const now = Date.parse(input.now);
  const inOrder = <T>(entries: readonly T[], instant: (entry: T) => string): T[] =>
    entries
      .map((entry) => ({ entry, at: Date.parse(instant(entry)) }))
      .filter(({ at }) => at <= now)
      .sort((a, b) => a.at - b.at)
      .map(({ entry }) => entry);
  const allDays = inOrder(judgedDays(input), (day) => day.lastSessionAt);
  const changes = inOrder(input.changes, (change) => change.at);
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
