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
  let fineTest: number | undefined;
  return trainingDays.map((day) => {
    const fineTestBefore = day.fineTestBefore ?? fineTest;
    const judged = judgeDay(fineTestBefore === undefined ? day : { ...day, fineTestBefore }, context);
    if (judged.byLoadTest && judged.nextDay === "fine" && judged.painNextDay !== null)
      fineTest = judged.painNextDay;
    return judged;
  });
}
