import { decide } from "~/core/decision/decide";
import type { DecideInput } from "~/core/decision/record/decide-input";
import type { SetRecord, TrainingDay } from "~/core/response/session-record";
import { sayEvidence } from "~/messages/say-evidence";
import { day, march, reps, stepUpInput, type DayOptions } from "./decide-input";

/** Days of a side step-up at 10 cm, 3 × 8–12, left side, monitored, prescribed on 3 March 2026, and what is said of them. */
export const top = (date: number, options: DayOptions = {}, more: Partial<SetRecord> = {}) =>
  day(date, reps([12, 12, 12], more), options);
export const poor = (date: number, options: DayOptions = {}) => day(date, reps([9, 9, 9]), options);
export const arrived = (worked: TrainingDay, receivedAt: string): TrainingDay => ({ ...worked, receivedAt });
export const at = (now: string, trainingDays: TrainingDay[], over: Partial<DecideInput> = {}) =>
  decide(stepUpInput({ now, trainingDays, ...over }));
export const said = (...input: Parameters<typeof at>) => {
  const { outcome, rule } = at(...input);
  return `${outcome}: ${rule}`;
};
export const two = [top(5), top(8)];
export const codes = (...input: Parameters<typeof at>) => at(...input).evidence.map(({ code }) => code);

/** The rule and the one knob that is turned, in a line. */
export const turned = (input: DecideInput) => {
  const { rule, change } = decide(input);
  if (!change || !("knob" in change)) return `${rule}: ${change ? JSON.stringify(change) : "nothing"}`;
  return `${rule}: ${change.knob} ${change.from} to ${change.to}`;
};
export const painful = (pain: number, more: Partial<SetRecord> = {}) =>
  reps([12, 12, 12], { painDuring: pain, ...more });

/** The morning after the second good day. */
export const monday = march(9, "10:00");

/** A knee that drifts inward, so badly and so often. */
export const kneeIn = (severity: "slight" | "marked", of: "some" | "most"): Partial<SetRecord> => ({
  faults: [{ fault: "knee-in", severity, reps: of }],
});

/** What is told of a proposal, in whole sentences. */
export const sentences = (input: DecideInput) => decide(input).evidence.map(sayEvidence);
export const say = (over: Partial<DecideInput>) => sentences(stepUpInput(over));
