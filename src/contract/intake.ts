import { Type, type Static } from "@sinclair/typebox";
import { Intake } from "~/core/intake/intake";
import { Placing } from "~/core/intake/placing";
import { endpoint, smallLimit } from "./endpoint";
import { closed, code, instant, reason, uuid, written } from "./fields";
import { recordingRoles, signingRoles } from "./roles";
import { Prescription } from "~/core/exercise/prescription";

/** Asks for a placing; nothing is stored. */
export const PlacingBody = Type.Object(
  {
    /** The intake's own id, so that a red flag which is unticked later leaves its trace. */
    id: Type.Optional(uuid),
    intake: Intake,
  },
  closed,
);
export type PlacingBody = Static<typeof PlacingBody>;

/** An intake with the placing a clinician signs: the stage, and one prescription for each item wanted. */
export const IntakeBody = Type.Object(
  {
    /** Becomes the episode's id. */
    id: uuid,
    intake: Intake,
    /** Another episode of the same person; the person kept there is this one's too. */
    beside: Type.Optional(uuid),
    stage: Type.String({ minLength: 1, maxLength: 40 }),
    /** Needed when the stage signed is not the one proposed. */
    reason: Type.Optional(reason),
    items: Type.Array(
      Type.Object(
        {
          id: uuid,
          exerciseId: code,
          variantId: code,
          sets: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
          leg: Prescription.properties.leg,
        },
        closed,
      ),
      { minItems: 1, maxItems: 20 },
    ),
  },
  closed,
);
export type IntakeBody = Static<typeof IntakeBody>;

export const IntakeWritten = Type.Object(written, closed);
export type IntakeWritten = Static<typeof IntakeWritten>;

/** What is being filled in, as far as it has come; any shape, so that nothing typed is lost. */
export const DraftBody = Type.Object(
  { id: uuid, label: Type.String({ maxLength: 120 }), body: Type.Record(Type.String(), Type.Unknown()) },
  closed,
);
export type DraftBody = Static<typeof DraftBody>;

export const DraftList = Type.Object(
  {
    drafts: Type.Array(
      Type.Object(
        {
          id: uuid,
          label: Type.String(),
          savedAt: instant,
          body: Type.Record(Type.String(), Type.Unknown()),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type DraftList = Static<typeof DraftList>;

export const proposePlacing = endpoint({
  name: "proposePlacing",
  says: "Propose stage and plan; nothing is stored",
  roles: recordingRoles,
  body: PlacingBody,
  answer: Placing,
});

export const signIntake = endpoint({
  name: "signIntake",
  says: "Sign an intake: person, episode, stage and plan",
  roles: signingRoles,
  body: IntakeBody,
  answer: IntakeWritten,
  status: 201,
});

export const listIntakeDrafts = endpoint({
  name: "listIntakeDrafts",
  says: "Unfinished intakes",
  roles: "signed-in",
  answer: DraftList,
});

export const keepIntakeDraft = endpoint({
  name: "keepIntakeDraft",
  says: "Keep an unfinished intake",
  roles: recordingRoles,
  body: DraftBody,
  answer: Type.Object({ id: uuid, savedAt: instant }, closed),
  status: 201,
});

export const dropIntakeDraft = endpoint({
  name: "dropIntakeDraft",
  says: "Throw an unfinished intake away; a red flag that was ticked in it stays noted",
  roles: recordingRoles,
  body: Type.Object({ id: uuid }, closed),
  limit: smallLimit,
  answer: Type.Object({ id: uuid }, closed),
});
