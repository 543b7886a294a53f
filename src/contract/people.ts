import { Type, type Static } from "@sinclair/typebox";
import { InvolvedSide } from "~/core/measure/side-value";
import { oneOf } from "~/core/schema/one-of";
import { endpoint, smallLimit } from "./endpoint";
import { closed, ListedPerson, uuid } from "./fields";

/** An episode of somebody who was looked for. */
export const FoundPerson = Type.Object(
  {
    episodeId: uuid,
    person: ListedPerson,
    birthYear: Type.Integer(),
    diagnosis: Type.String(),
    involvedSide: InvolvedSide,
    state: oneOf(["active", "closed"]),
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
