import { drawnHeights } from "~/core/pose/body-lengths";
import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { Change } from "~/core/progression/change";
import { Exercise } from "~/core/exercise/exercise";
import { Prescription } from "~/core/exercise/prescription";
import { ItemRole } from "~/core/exercise/role";
import { Restriction } from "~/core/limit/restriction";
import { Pain } from "~/core/response/pain-response";
import { PainSchoolCode } from "~/core/response/pain-school";
import { Side, TrainingDay } from "~/core/response/session-record";
import { Evidence } from "./evidence";

const instant = Type.String({ format: "date-time" });

export const easeCauseCodes = [
  "beyond-limit",
  "pain-at-depth",
  "pain-with-effort",
  "flare",
  "marked-fault",
  "too-few-clean",
  "absence",
] as const;
export const EaseCauseCode = oneOf(easeCauseCodes);
export type EaseCauseCode = Static<typeof EaseCauseCode>;

export const outcomes = ["stop", "ease", "wait", "step-up", "plateau", "hold"] as const;
export const Outcome = oneOf(outcomes);
export type Outcome = Static<typeof Outcome>;

/** A change of this item that a clinician has signed. */
export const SignedChange = Type.Object(
  {
    at: instant,
    direction: oneOf(["harder", "easier", "other"]),
    knob: Type.Optional(Type.String()),
    cause: Type.Optional(EaseCauseCode),
    before: Type.Optional(Prescription),
  },
  { additionalProperties: false },
);
export type SignedChange = Static<typeof SignedChange>;

export const stopScopes = ["item", "lane", "impact", "hamstrings", "extension", "session", "plan"] as const;
export const StopSignal = Type.Object(
  {
    code: Type.String({ minLength: 1, maxLength: 60 }),
    scope: oneOf(stopScopes),
    raisedAt: instant,
    /** How soon somebody has to see it, for words. */
    urgency: Type.Optional(Type.String({ minLength: 1, maxLength: 20 })),
    clearedAt: Type.Optional(instant),
  },
  { additionalProperties: false },
);
export type StopSignal = Static<typeof StopSignal>;

export const flareReasons = ["changed", "painful", "site", "done", "chosen"] as const;

/** The day the plan reacted to, and why the reaction is traced to this item, or to which other ones. */
export const FlareTrace = Type.Union([
  Type.Object(
    { suspect: Type.Literal(true), on: Type.String({ format: "date" }), why: oneOf(flareReasons) },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      suspect: Type.Literal(false),
      on: Type.String({ format: "date" }),
      names: Type.String(),
      /** Whoever it was traced to has been answered: it holds nobody else any more. */
      answered: Type.Optional(Type.Boolean()),
    },
    { additionalProperties: false },
  ),
]);
export type FlareTrace = Static<typeof FlareTrace>;

/** One item of a plan with everything that bears on what should happen to it next. */
export const DecideInput = Type.Object(
  {
    exercise: Exercise,
    prescription: Prescription,
    /** What it is in the plan for; `main` when left out. */
    role: Type.Optional(ItemRole),
    /** Other settings of the exercise in the plan: it does not climb into one of them. */
    beside: Type.Optional(Type.Array(Prescription, { maxItems: 30 })),
    /** When the present prescription began to hold. */
    prescribedAt: instant,
    school: PainSchoolCode,
    involvedSide: Side,
    zone: Type.String({ minLength: 1, maxLength: 60, description: "IANA time zone of the clinic" }),
    now: instant,
    maximumN: Type.Optional(Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 5000 })),
    trainingDays: Type.Array(TrainingDay, { maxItems: 2000 }),
    changes: Type.Array(SignedChange, { maxItems: 500 }),
    /** When a clinician last answered a proposal for this item, whatever the answer. */
    answeredAt: Type.Optional(instant),
    /** When a clinician last cleared this item in writing after a stop. */
    clearedAt: Type.Optional(instant),
    restrictions: Type.Array(Restriction, { maxItems: 50 }),
    /** For what a setting asks of this body; a usual height where nobody measured it. */
    heightM: Type.Optional(Type.Number({ minimum: drawnHeights.low, maximum: drawnHeights.high })),
    stopSignals: Type.Array(StopSignal, { maxItems: 200 }),
    /** The most urgent open signal that suspends other items, or all: nothing gets harder while it is open. */
    halted: Type.Optional(Type.String({ minLength: 1, maxLength: 60 })),
    /** When a clinician last answered and left the prescription as it was: a refusal, or an offer taken note of. */
    leftAsIsAt: Type.Optional(instant),
    /** Effusion of the involved side as graded last (0 none, 1 trace, 2 1+, 3 2+, 4 3+), and whether it is above what it was. */
    effusion: Type.Optional(
      Type.Object(
        { grade: Type.Integer({ minimum: 0, maximum: 4 }), raised: Type.Boolean() },
        { additionalProperties: false },
      ),
    ),
    /** Where this movement hurt when it was measured last, degrees: stands in where a session says that a depth hurt, not which. */
    measuredArc: Type.Optional(
      Type.Object(
        {
          on: Type.String({ format: "date" }),
          fromDeg: Type.Integer({ minimum: 0, maximum: 150 }),
          toDeg: Type.Optional(Type.Integer({ minimum: 0, maximum: 150 })),
        },
        { additionalProperties: false },
      ),
    ),
    /** The last known pain on waking or before a session, of the plan. Left out: of this item's own days. */
    lastPain: Type.Optional(
      Type.Object({ pain: Pain, on: Type.String({ format: "date" }) }, { additionalProperties: false }),
    ),
    /** What a flare of the plan was traced to. Left out: this item is taken as the suspect. */
    flare: Type.Optional(FlareTrace),
    /** Mean pain of the last seven days less that of the seven before, where both are known. */
    weeklyMeanRise: Type.Optional(Type.Number({ minimum: -10, maximum: 10 })),
    /** Ground contacts a day of the plan's other exercises, and the most that the plan may come to. */
    contacts: Type.Optional(
      Type.Object(
        { elsewhere: Type.Integer({ minimum: 0 }), most: Type.Integer({ minimum: 0 }) },
        { additionalProperties: false },
      ),
    ),
    laneAdherencePercent: Type.Optional(Type.Number({ minimum: 0, maximum: 100 })),
    changeBudget: Type.Optional(
      Type.Object(
        {
          limit: Type.Integer({ minimum: 0, maximum: 20 }),
          used: Type.Integer({ minimum: 0, maximum: 200 }),
          /** Items that come before this one in the queue for what is left of the week. */
          ahead: Type.Optional(Type.Integer({ minimum: 0, maximum: 200 })),
        },
        { additionalProperties: false },
      ),
    ),
  },
  { additionalProperties: false },
);
export type DecideInput = Static<typeof DecideInput>;

/** A proposal: what to do with the item, the rule that fired, what it rests on, and what would change. */
export const Proposal = Type.Object(
  {
    outcome: Outcome,
    rule: Type.String(),
    evidence: Type.Array(Evidence),
    change: Type.Optional(Change),
    /** True when a clinician should look at the item as a whole, not only sign. */
    review: Type.Optional(Type.Boolean()),
    engineVersion: Type.String(),
  },
  { additionalProperties: false },
);
export type Proposal = Static<typeof Proposal>;

/** What a rule finds; the engine adds its version. */
export type Finding = Omit<Proposal, "engineVersion">;
