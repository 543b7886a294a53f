import { judgeDay, type DayContext, type DayJudgement } from "~/core/response/judge-day";
import type { DecideInput } from "./decide-input";

type Basis = Pick<
  DecideInput,
  "trainingDays" | "prescription" | "school" | "involvedSide" | "maximumN" | "now" | "zone"
>;

/** Every training day of an item judged at its present prescription, in the order they came. */
export function judgedDays({
  trainingDays,
  prescription: { dose, settings },
  school,
  involvedSide,
  maximumN,
  now,
  zone,
}: Basis): readonly DayJudgement[] {
  const context: DayContext = { dose, settings, school, involvedSide, maximumN: maximumN ?? null, now, zone };
  return trainingDays.map((day) => judgeDay(day, context));
}
