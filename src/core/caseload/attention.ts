import { Type, type Static } from "@sinclair/typebox";
import { Evidence } from "~/core/decision/record/evidence";
import { oneOf } from "~/core/schema/one-of";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });

/** Which of a caseload's people come first; worst first. */
export const attentionCodes = [
  "stop",
  "unreadable",
  "flare",
  "ease",
  "rebaseline",
  "wait",
  "report-missing",
  "step-up",
  "gate-open",
  "lane-ready",
  "no-change",
  "look-again",
  "plateau",
  "quiet",
  "maintenance-due",
  "target-at-risk",
  "hold",
] as const;

export const Attention = oneOf(attentionCodes);
export type Attention = Static<typeof Attention>;

/** What the caseload shows of an episode, as computed from its record: no identity in it. */
export const CaseloadState = Type.Object(
  {
    stageName: Type.String(),
    stageNumber: Type.Integer(),
    stageCount: Type.Integer(),
    daysSinceOnset: Type.Integer(),
    attention: Attention,
    /** The item or day behind the attention, for the one-line reason. */
    reason: Type.Object(
      {
        rule: Type.String(),
        exercise: Type.String(),
        date: Type.String(),
        /** What stands first among the item's evidence; null when the attention is not about an item. */
        evidence: Type.Union([Evidence, Type.Null()]),
      },
      closed,
    ),
    alsoWaiting: Type.Integer({ description: "Further items with something to sign" }),
    lastSessionOn: Type.Union([date, Type.Null()]),
  },
  closed,
);
export type CaseloadState = Static<typeof CaseloadState>;
