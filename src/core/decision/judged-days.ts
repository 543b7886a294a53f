import { judgeDay, type DayContext, type DayJudgement } from "~/core/response/judge-day";
import type { TrainingDay } from "~/core/response/session-record";
import type { DecideInput } from "./decide-input";

type Basis = Pick<
  DecideInput,
  "trainingDays" | "prescription" | "school" | "involvedSide" | "maximumN" | "now"
>;

/** The last judgement of a list of days: one review asks for the same several times. Lists of days are not altered. */
const last = new WeakMap<readonly TrainingDay[], { context: DayContext; days: readonly DayJudgement[] }>();

/** Every training day of an item judged at its present prescription, in the order they came. */
export function judgedDays({
  trainingDays,
  prescription: { dose, settings },
  school,
  involvedSide,
  maximumN,
  now,
}: Basis): readonly DayJudgement[] {
  const context: DayContext = { dose, settings, school, involvedSide, maximumN: maximumN ?? null, now };
  const found = last.get(trainingDays);
  if (found && same(found.context, context)) return found.days;
  const days = trainingDays.map((day) => judgeDay(day, context));
  last.set(trainingDays, { context, days });
  return days;
}

function same(a: DayContext, b: DayContext): boolean {
  return (
    a.now === b.now &&
    a.school === b.school &&
    a.dose === b.dose &&
    a.settings === b.settings &&
    a.involvedSide === b.involvedSide &&
    a.maximumN === b.maximumN
  );
}
