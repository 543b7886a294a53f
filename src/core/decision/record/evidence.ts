import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

/** Every kind of evidence or reason a decision can rest on; the message file has words for each. */
export const evidenceCodes = [
  "stop-signal",
  "pinch",
  "pain-during-ease",
  "next-day-ease",
  "swelling-more",
  "marked-fault-most",
  "below-bottom-twice",
  "absence",
  "second-ease-running",
  "easiest-setting",
  "good-day",
  "good-day-hold-band",
  "open-day",
  "no-session",
  "report-missing",
  "run-too-short",
  "sore-start",
  "pain-hold-band",
  "pain-ease-answered",
  "next-day-hold",
  "next-day-ease-answered",
  "effort-above-cap",
  "short-of-top",
  "marked-fault",
  "fear",
  "pinch-slight",
  "stale",
  "settling",
  "settling-days",
  "adherence",
  "change-budget",
  "restriction",
  "knob-left-alone",
  "policy-fixed",
  "role-kept",
  "reference-missing",
  "flare-elsewhere",
  "rebaseline",
  "next-knob",
  "lane-ready",
  "plateau",
  "flare-suspect",
  "easier-than-prescribed",
  "answered",
  "mean-rising",
  "pain-elsewhere",
  "other-side-short",
  "fear-exposure",
  "signal-open",
  "beyond-limit",
  "pain-ceiling",
  "effusion-high",
  "effusion-raised",
  "effusion-some",
  "effusion-up",
  "hold-band-run",
  "force-unread",
  "force-above",
  "wrong-place",
  "wrong-place-again",
  "plan-contacts",
  "cue-first",
  "not-watched",
] as const;

export const EvidenceCode = oneOf(evidenceCodes);
export type EvidenceCode = Static<typeof EvidenceCode>;

/** One piece of evidence: what it is, the figures it rests on, and the training day it was seen on. */
export const Evidence = Type.Object(
  {
    code: EvidenceCode,
    date: Type.Optional(Type.String({ format: "date" })),
    values: Type.Record(Type.String(), Type.Union([Type.String(), Type.Number(), Type.Boolean()])),
  },
  { additionalProperties: false },
);
export type Evidence = Static<typeof Evidence>;

/** Short form: evidence("settling", { daysLeft: 2 }). */
export function evidence(code: EvidenceCode, values: Evidence["values"] = {}, date?: string): Evidence {
  return date === undefined ? { code, values } : { code, date, values };
}
