import { Type, type Static } from "@sinclair/typebox";
import { Intake } from "~/core/intake/intake";
import { Placing } from "~/core/intake/place";

const closed = { additionalProperties: false };
const uuid = Type.String({ format: "uuid" });
const reason = Type.String({ minLength: 3, maxLength: 400, pattern: "\\S" });

/** Asks for a placing; nothing is stored. */
export const PlacingBody = Type.Object({ intake: Intake }, closed);
export const PlacingAnswer = Placing;

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
          exerciseId: Type.String({ minLength: 1, maxLength: 80 }),
          variantId: Type.String({ minLength: 1, maxLength: 80 }),
          sets: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
        },
        closed,
      ),
      { minItems: 1, maxItems: 20 },
    ),
  },
  closed,
);
export type IntakeBody = Static<typeof IntakeBody>;

export const IntakeWritten = Type.Object({ id: uuid, repeated: Type.Boolean() }, closed);
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
          savedAt: Type.String({ format: "date-time" }),
          body: Type.Record(Type.String(), Type.Unknown()),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type DraftList = Static<typeof DraftList>;
