import { Type, type Static } from "@sinclair/typebox";
import { Dose } from "~/core/dose/dose";
import { DoseMinutesOutput } from "~/core/dose/dose-minutes";
import { totalCodes } from "~/core/progression/plan-totals";
import { oneOf } from "~/core/schema/one-of";
import { Circumstances } from "~/core/intake/intake";
import { InvolvedSide } from "~/core/measure/side-value";
import { Lane } from "~/core/exercise/body";
import { KnobValue, Prescription } from "~/core/exercise/prescription";
import { ComposedList } from "~/core/intake/compose-list";
import { Arrangement } from "~/core/case/arrangement";
import { ItemRole } from "~/core/exercise/role";
import { LoadBody } from "./load-body";
import { endpoint, smallLimit } from "./endpoint";
import { closed, code, HeightM, meant, PersonName, reason, uuid, written } from "./fields";
import { signingRoles } from "./roles";

/** The next setting in one direction: the knob with where it goes, or the words of what stops it. */
export const NextStep = Type.Object(
  {
    knob: Type.Union([Type.String(), Type.Null()]),
    from: Type.Union([KnobValue, Type.Null()]),
    to: Type.Union([KnobValue, Type.Null()]),
    variantName: Type.Union([Type.String(), Type.Null()]),
    stoppedBy: Type.Union([Type.String(), Type.Null()]),
  },
  closed,
);
export type NextStep = Static<typeof NextStep>;

export const PlanItem = Type.Object(
  {
    itemId: uuid,
    exerciseId: code,
    exerciseName: Type.String(),
    /** Its name, with what tells it apart where the exercise stands in the plan more than once. */
    name: Type.String(),
    role: ItemRole,
    /** The circuit it is done in, counted from 1; null outside of one. */
    circuit: Type.Union([
      Type.Object({ number: Type.Integer(), restSeconds: Type.Integer() }, closed),
      Type.Null(),
    ]),
    /** Where it stands in the usual order of a session. */
    usualPlace: Type.Integer(),
    variantName: Type.String(),
    lane: Lane,
    drawnLike: Type.Union([Type.String(), Type.Null()]),
    prescription: Prescription,
    maximumN: Type.Union([Type.Number(), Type.Null()]),
    time: DoseMinutesOutput,
    harder: NextStep,
    easier: NextStep,
    stopped: Type.Boolean(),
    /** The limit that its present setting breaks, in words; null when it breaks none. */
    blockedBy: Type.Union([Type.String(), Type.Null()]),
    /** Limits that a clinician went against in writing when it came into the plan; null for none. */
    against: Type.Union([
      Type.Object({ limits: Type.Array(Type.String()), reason: Type.String() }, closed),
      Type.Null(),
    ]),
  },
  closed,
);
export type PlanItem = Static<typeof PlanItem>;

/** A patient's plan: what is done, how long it takes, where each item goes next; and the lanes nobody filled. */
const PlanUndo = Type.Object(
  { act: oneOf(["put-in", "taken-out"]), itemId: uuid, name: Type.String() },
  closed,
);
export type PlanUndo = Static<typeof PlanUndo>;

export const PlanView = Type.Object(
  {
    episodeId: uuid,
    version: Type.Integer(),
    person: PersonName,
    involvedSide: InvolvedSide,
    heightM: HeightM,
    /** Whose loads are worked out. */
    body: LoadBody,
    stageName: Type.String(),
    pathway: Type.String(),
    stage: Type.String(),
    items: Type.Array(PlanItem),
    time: DoseMinutesOutput,
    /** Sums that are more than they should be when everything is done on one day. */
    totals: Type.Array(
      Type.Object({ code: oneOf(totalCodes), value: Type.Number(), most: Type.Number() }, closed),
    ),
    /** Heavy work that nothing primes, with the primer it could have. */
    unprimed: Type.Array(
      Type.Object(
        { exerciseId: code, exerciseName: Type.String(), variantName: Type.String(), primer: Prescription },
        closed,
      ),
    ),
    emptyLanes: Type.Array(Lane),
    stageLanes: Type.Array(Lane),
    limits: Type.Array(Type.String()),
    circumstances: Type.Union([Circumstances, Type.Null()]),
    /** Items that got harder in the last seven days, and the most that is usual. */
    changeBudget: Type.Object({ used: Type.Integer(), limit: Type.Integer() }, closed),
    /** What was done to the plan last and can be undone, until the next act. */
    undo: Type.Union([PlanUndo, Type.Null()]),
    maySign: Type.Boolean(),
  },
  closed,
);
export type PlanView = Static<typeof PlanView>;

/** An exercise for the plan. The item's id is made by the sender. */
export const ItemBody = Type.Object(
  {
    id: uuid,
    exerciseId: code,
    variantId: code,
    settings: Type.Optional(Prescription.properties.settings),
    dose: Type.Optional(Dose),
    leg: Prescription.properties.leg,
    role: Type.Optional(ItemRole),
    /** Why it goes into the plan against limits that are neither the surgeon's nor a procedure's. */
    against: Type.Optional(reason),
    meant,
  },
  closed,
);
export type ItemBody = Static<typeof ItemBody>;

/** Order, roles and circuits of the whole plan. */
export const ArrangementBody = Type.Object({ id: uuid, ...Arrangement.properties }, closed);
export type ArrangementBody = Static<typeof ArrangementBody>;

export const CircumstancesBody = Type.Object({ id: uuid, circumstances: Circumstances, reason }, closed);
export type CircumstancesBody = Static<typeof CircumstancesBody>;

export const EndingBody = Type.Object({ id: uuid, itemId: uuid, reason }, closed);
export type EndingBody = Static<typeof EndingBody>;

export const PutBackBody = Type.Object({ id: uuid, itemId: uuid }, closed);
export type PutBackBody = Static<typeof PutBackBody>;

export const PlanWritten = Type.Object({ ...written, plan: PlanView }, closed);
export type PlanWritten = Static<typeof PlanWritten>;

export const readPlan = endpoint({
  name: "readPlan",
  says: "The plan of a patient",
  roles: "signed-in",
  answer: PlanView,
});

export const addItem = endpoint({
  name: "addItem",
  says: "Put an exercise into the plan",
  roles: signingRoles,
  body: ItemBody,
  limit: smallLimit,
  answer: PlanWritten,
  status: 201,
});

export const endItem = endpoint({
  name: "endItem",
  says: "Take an item out of the plan",
  roles: signingRoles,
  body: EndingBody,
  limit: smallLimit,
  answer: PlanWritten,
  status: 201,
});

export const putBackItem = endpoint({
  name: "putBackItem",
  says: "Put back what was taken out of the plan by the last act",
  roles: signingRoles,
  body: PutBackBody,
  limit: smallLimit,
  answer: PlanWritten,
  status: 201,
});

export const arrangePlan = endpoint({
  name: "arrangePlan",
  says: "Set the order, roles and circuits of the plan",
  roles: signingRoles,
  body: ArrangementBody,
  limit: smallLimit,
  answer: PlanWritten,
  status: 201,
});

/** What a list is composed from; nothing is stored. */
export const CompositionBody = Type.Object(
  {
    /** Codes of the needs that the composer knows. */
    needs: Type.Array(code, { minItems: 1, maxItems: 40, uniqueItems: true }),
    minutes: Type.Number({ minimum: 1, maximum: 240 }),
  },
  closed,
);
export type CompositionBody = Static<typeof CompositionBody>;

export const composeList = endpoint({
  name: "composeList",
  says: "Compose a list from what is asked, was hurt and was found; nothing is stored",
  roles: "signed-in",
  body: CompositionBody,
  limit: smallLimit,
  answer: ComposedList,
});

export const setCircumstances = endpoint({
  name: "setCircumstances",
  says: "Set days, minutes, kit and limits",
  roles: signingRoles,
  body: CircumstancesBody,
  answer: PlanWritten,
  status: 201,
});
