import { Type, type Static } from "@sinclair/typebox";
import { moveKinds } from "~/core/case/case-file";
import { GateResult, Passing } from "~/core/gate/gate";
import { InvolvedSide } from "~/core/measure/side-value";
import { Source } from "~/core/schema/source";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { closed, date, instant, orNull, PersonName, reason, uuid, written } from "./fields";
import { signingRoles } from "./roles";

/** A move through the gate, past it, or back. */
export const GateBody = Type.Object(
  {
    id: uuid,
    expectedVersion: Type.Integer({ minimum: 1 }),
    action: oneOf(["pass", "override", "back"]),
    stage: Type.String({ minLength: 1, maxLength: 40 }),
    reason: Type.Optional(reason),
  },
  closed,
);
export type GateBody = Static<typeof GateBody>;

export const PassingBody = Type.Object({ id: uuid, passing: Passing, reason }, closed);
export type PassingBody = Static<typeof PassingBody>;

/** A criterion that no number can decide, judged by a clinician. */
export const CriterionWordBody = Type.Object(
  { id: uuid, criterion: Type.String({ minLength: 1, maxLength: 60 }), reason },
  closed,
);
export type CriterionWordBody = Static<typeof CriterionWordBody>;

/** The gate on one page, and how the patient came to stand before it. */
export const GateView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    today: date,
    zone: Type.String(),
    clinicName: Type.String(),
    person: PersonName,
    age: Type.Integer(),
    activity: Type.String(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    onsetOn: date,
    surgeryOn: orNull(date),
    /** The present stage is one before an operation: leaving it needs the operation. */
    beforeSurgery: Type.Boolean(),
    pathwayName: Type.String(),
    stages: Type.Array(Type.Object({ code: Type.String(), name: Type.String() }, closed)),
    stage: Type.String(),
    stageEnteredOn: date,
    gate: orNull(GateResult),
    sources: Type.Record(Type.String(), Source),
    measureNames: Type.Record(Type.String(), Type.String()),
    moves: Type.Array(
      Type.Object(
        {
          at: instant,
          by: Type.String(),
          stageName: Type.String(),
          kind: oneOf(moveKinds),
          reason: Type.String(),
          unmet: Type.Array(Type.String()),
        },
        closed,
      ),
    ),
    /** What clinicians wrote of criteria that no number can decide, the latest of each. */
    words: Type.Array(
      Type.Object(
        { criterion: Type.String(), reason: Type.String(), by: Type.String(), at: instant },
        closed,
      ),
    ),
    maySign: Type.Boolean(),
  },
  closed,
);
export type GateView = Static<typeof GateView>;

export const GateWritten = Type.Object({ ...written, gate: GateView }, closed);
export type GateWritten = Static<typeof GateWritten>;

export const readGate = endpoint({
  name: "readGate",
  says: "The gate on one page",
  roles: "signed-in",
  answer: GateView,
});

export const signGate = endpoint({
  name: "signGate",
  says: "Sign a move through the gate, past it or back",
  roles: signingRoles,
  body: GateBody,
  limit: smallLimit,
  answer: GateWritten,
  stale: Type.Object({ gate: GateView }),
  status: 201,
});

export const judgeCriterion = endpoint({
  name: "judgeCriterion",
  says: "Judge in writing a criterion that no number can decide",
  roles: signingRoles,
  body: CriterionWordBody,
  limit: smallLimit,
  answer: GateWritten,
  status: 201,
});

export const setPassing = endpoint({
  name: "setPassing",
  says: "Set how this patient's gates are passed",
  roles: signingRoles,
  body: PassingBody,
  limit: smallLimit,
  answer: GateWritten,
  status: 201,
});
