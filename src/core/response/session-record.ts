import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { KnobValue } from "~/core/exercise/prescription";
import { Pain } from "./pain-response";

export const Side = oneOf(
  ["left", "right", "both"],
  "Side that worked; 'both' when both legs share the work",
);
export type Side = Static<typeof Side>;

/** Where pain was felt: at what the episode is about, in the muscle that worked, or somewhere else. */
export const painSites = ["episode", "muscle", "elsewhere"] as const;
export const limitKinds = ["pain", "pinch", "block", "stretch", "fear", "weakness", "wrong-place"] as const;
/** What pain came with: a depth or angle, effort or load, the way down, the way up, only afterwards, nothing one can name. */
export const painPatterns = ["depth", "effort", "down", "up", "after", "none"] as const;
const PainAngle = Type.Integer({ minimum: -30, maximum: 150 });
export const faultPhases = ["down", "bottom", "up"] as const;

/** A fault seen in a set. `reps` is a count, or 'some' (fewer than half) / 'most' (half or more). */
export const FaultRecord = Type.Object(
  {
    fault: Type.String({ minLength: 1, maxLength: 60 }),
    severity: oneOf(["slight", "marked"]),
    reps: Type.Union([
      Type.Integer({ minimum: 1, maximum: 200 }),
      Type.Literal("some"),
      Type.Literal("most"),
    ]),
    phase: Type.Optional(oneOf(faultPhases)),
  },
  { additionalProperties: false },
);

/** What was done and felt in one set, on one side or with both legs. */
export const SetRecord = Type.Object(
  {
    side: Side,
    reps: Type.Optional(Type.Integer({ minimum: 0, maximum: 200 })),
    holdSeconds: Type.Optional(Type.Number({ minimum: 0, maximum: 600 })),
    contacts: Type.Optional(Type.Integer({ minimum: 0, maximum: 400 })),
    minutes: Type.Optional(Type.Number({ minimum: 0, maximum: 180 })),
    forceN: Type.Optional(Type.Number({ minimum: 0, exclusiveMaximum: 5000 })),
    loadKg: Type.Optional(Type.Number({ minimum: 0, maximum: 500 })),
    painDuring: Pain,
    painSite: oneOf(painSites),
    painWith: Type.Optional(oneOf(painPatterns)),
    /** Bend of the joint that works, degrees, at which pain began and, where it passed again, ended. */
    painArc: Type.Optional(
      Type.Object({ fromDeg: PainAngle, toDeg: Type.Optional(PainAngle) }, { additionalProperties: false }),
    ),
    effort: Type.Number({ minimum: 0, maximum: 10, multipleOf: 0.5, description: "Perceived exertion 0–10" }),
    limit: Type.Optional(
      Type.Object(
        { kind: oneOf(limitKinds), pinchGrade: Type.Optional(Type.Integer({ minimum: 0, maximum: 3 })) },
        { additionalProperties: false },
      ),
    ),
    faults: Type.Array(FaultRecord, { maxItems: 12 }),
    /** Knobs of the movement that stood elsewhere than prescribed; the load has its own field. */
    settings: Type.Optional(Type.Record(Type.String({ maxLength: 40 }), KnobValue)),
    /** How sure the person was of managing it, 0–10; recorded and shown, never judged. */
    confidence: Type.Optional(Type.Integer({ minimum: 0, maximum: 10 })),
  },
  { additionalProperties: false },
);

export const swellings = ["less", "same", "more"] as const;
/** What was on the feet: recorded, never judged; which is better is a matter of school. */
export const footwears = ["shoes", "socks", "barefoot"] as const;
export const otherLoads = ["none", "some", "much"] as const;

/** How the patient was on the morning after a training day. */
export const NextDayReport = Type.Object(
  {
    receivedAt: Type.String({ format: "date-time" }),
    /** When it was said, where it reached the record later; whether it came in time is a matter of its arrival. */
    occurredAt: Type.Optional(Type.String({ format: "date-time" })),
    pain: Pain,
    stiffnessMinutes: Type.Optional(Type.Integer({ minimum: 0, maximum: 600 })),
    swelling: Type.Optional(oneOf(swellings)),
    /** Hours after the session at which it had settled. */
    settledHours: Type.Optional(Type.Integer({ minimum: 0, maximum: 72 })),
    /** Pain of one single-leg squat or hop on the next day, where the plan has such a test. */
    loadTestPain: Type.Optional(Pain),
    otherLoad: Type.Optional(oneOf(otherLoads, "Sport, work and steps since")),
  },
  { additionalProperties: false },
);

/** One item's work on one local calendar day, with the pain before that day's first session of any item. */
export const TrainingDay = Type.Object(
  {
    date: Type.String({ format: "date" }),
    lastSessionAt: Type.String({ format: "date-time" }),
    /** When the last of its sessions reached the record, where that was later: whoever signed before had not seen it. */
    receivedAt: Type.Optional(Type.String({ format: "date-time" })),
    painBefore: Pain,
    sets: Type.Array(SetRecord, { maxItems: 60 }),
    /** All of it was done with nobody of the clinic there: what is not said of the form was not seen. */
    alone: Type.Optional(Type.Boolean()),
    report: Type.Optional(NextDayReport),
    /** When the next session noted that the muscles were still sore from this day. */
    stillSoreAt: Type.Optional(Type.String({ format: "date-time" })),
    /** The loading test that was fine last before this day, where the plan has such a test. */
    fineTestBefore: Type.Optional(Pain),
    /** Day on which a clinician graded the effusion higher than before, where that belongs to this training day. */
    effusionUpOn: Type.Optional(Type.String({ format: "date" })),
    /** When that grade reached the record, where it is known. */
    effusionKnownAt: Type.Optional(Type.String({ format: "date-time" })),
  },
  { additionalProperties: false },
);

export type FaultRecord = Static<typeof FaultRecord>;
export type SetRecord = Static<typeof SetRecord>;
export type NextDayReport = Static<typeof NextDayReport>;
export type TrainingDay = Static<typeof TrainingDay>;
