import { Type, type Static } from "@sinclair/typebox";
import { episodeStates, episodeTurns } from "~/core/episode/episode-turn";
import { Intake } from "~/core/intake/intake";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { closed, instant, ListedPerson, orNull, reason, uuid, written } from "./fields";
import { PatientFrame } from "./frame";
import { settingRoles, signingRoles } from "./roles";

/** An episode of somebody who was looked for. */
export const FoundPerson = Type.Object(
  {
    episodeId: uuid,
    person: ListedPerson,
    birthYear: Type.Integer(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    state: oneOf(episodeStates),
  },
  closed,
);
export type FoundPerson = Static<typeof FoundPerson>;

/** Sent as a body: a name does not stand in an address, which is logged. */
export const findPeople = endpoint({
  name: "findPeople",
  says: "Find people of the clinic by parts of their name or their year of birth; active episodes first",
  roles: "signed-in",
  body: Type.Object({ text: Type.String({ minLength: 1, maxLength: 80, pattern: "\\S" }) }, closed),
  limit: smallLimit,
  answer: Type.Object({ people: Type.Array(FoundPerson) }, closed),
});

/** Who somebody is: what an intake asks, and how to reach them. */
export const Identity = Type.Object(
  {
    ...Intake.properties.person.properties,
    /** Which group of a norm's table to compare with; null where nobody said. */
    normGroup: orNull(oneOf(["male", "female"])),
    /** How to reach them: a number, an address; null where nobody said. */
    contact: orNull(Type.String({ minLength: 1, maxLength: 200, pattern: "\\S" })),
  },
  closed,
);
export type Identity = Static<typeof Identity>;

/** A person, and how their episodes stand. */
export const PersonView = Type.Object(
  {
    episodeId: uuid,
    zone: Type.String(),
    identity: Identity,
    state: oneOf(episodeStates),
    /** The life of this episode, latest first. */
    turns: Type.Array(
      Type.Object(
        {
          id: uuid,
          at: instant,
          by: Type.String(),
          kind: oneOf(episodeTurns),
          reason: Type.String(),
          summary: orNull(Type.String()),
        },
        closed,
      ),
    ),
    /** What was put right of who they are, latest first. */
    changes: Type.Array(
      Type.Object(
        {
          id: uuid,
          at: instant,
          by: Type.String(),
          before: Identity,
          after: Identity,
          reason: Type.String(),
        },
        closed,
      ),
    ),
    /** Every episode of the person, this one among them, latest first. */
    episodes: Type.Array(
      Type.Object(
        {
          episodeId: uuid,
          diagnosis: Type.String(),
          involvedSide: InvolvedSide,
          startedAt: instant,
          state: oneOf(episodeStates),
        },
        closed,
      ),
    ),
    /** Other entries of the same person that were merged into this one, latest first. */
    merges: Type.Array(
      Type.Object(
        {
          id: uuid,
          at: instant,
          by: Type.String(),
          /** How many episodes came over. */
          moved: Type.Integer(),
          reason: Type.String(),
          /** It took an earlier one back. */
          back: Type.Boolean(),
          /** It can still be taken back. */
          standing: Type.Boolean(),
        },
        closed,
      ),
    ),
    /** Who looks after this episode; null where nobody was named. */
    heldBy: orNull(Type.String()),
    /** To whom it can be handed. */
    colleagues: Type.Array(Type.Object({ id: uuid, name: Type.String() }, closed)),
    handovers: Type.Array(
      Type.Object(
        { id: uuid, at: instant, by: Type.String(), to: Type.String(), reason: Type.String() },
        closed,
      ),
    ),
    maySign: Type.Boolean(),
    /** May export and erase, and read who looked at it. */
    maySet: Type.Boolean(),
    /** When a lead asked for the person's data to be erased; null while nobody did. */
    erasureAskedAt: orNull(instant),
  },
  closed,
);
export type PersonView = Static<typeof PersonView>;

export const PersonWritten = Type.Object({ ...written, frame: PatientFrame }, closed);
export type PersonWritten = Static<typeof PersonWritten>;

export const IdentityBody = Type.Object({ id: uuid, identity: Identity, reason }, closed);
export type IdentityBody = Static<typeof IdentityBody>;

export const TurnBody = Type.Object(
  {
    id: uuid,
    kind: oneOf(episodeTurns),
    reason,
    /** What was reached, in words, on a discharge. */
    summary: Type.Optional(Type.String({ minLength: 1, maxLength: 4_000, pattern: "\\S" })),
  },
  closed,
);
export type TurnBody = Static<typeof TurnBody>;

/** Another entry of the same person, by an episode of it; or a merge that is taken back. */
export const MergeBody = Type.Object(
  { id: uuid, otherEpisode: Type.Optional(uuid), takesBack: Type.Optional(uuid), reason },
  closed,
);
export type MergeBody = Static<typeof MergeBody>;

export const mergePeople = endpoint({
  name: "mergePeople",
  says: "Give the episodes of a person who was entered twice to this entry, or back",
  roles: settingRoles,
  body: MergeBody,
  limit: smallLimit,
  answer: PersonWritten,
  status: 201,
});

export const HandoverBody = Type.Object({ id: uuid, toStaff: uuid, reason }, closed);
export type HandoverBody = Static<typeof HandoverBody>;

export const handOver = endpoint({
  name: "handOver",
  says: "Hand an episode to a colleague, who looks after it from then on",
  roles: signingRoles,
  body: HandoverBody,
  limit: smallLimit,
  answer: PersonWritten,
  status: 201,
});

export const readPerson = endpoint({
  name: "readPerson",
  says: "Who a patient is, and how their episodes stand",
  roles: "signed-in",
  answer: PersonView,
});

export const changeIdentity = endpoint({
  name: "changeIdentity",
  says: "Put right who a patient is; what it was stays",
  roles: signingRoles,
  body: IdentityBody,
  limit: smallLimit,
  answer: PersonWritten,
  status: 201,
});

export const turnEpisode = endpoint({
  name: "turnEpisode",
  says: "Discharge, pause, resume or reopen an episode, with the reason",
  roles: signingRoles,
  body: TurnBody,
  limit: smallLimit,
  answer: PersonWritten,
  status: 201,
});
