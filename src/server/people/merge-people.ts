import type { MergeBody, PersonWritten } from "~/contract/people";
import type { FieldProblem } from "~/core/schema/field-problem";
import { episodesOfPerson, findEpisode, lockHeads, moveEpisodes } from "~/server/case/episode-repository";
import { merges } from "~/server/facts/merges";
import { appendFact, readFacts } from "~/server/facts/sql";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import type { Fact, WriteScope } from "~/server/write/write-into";
import { writePerson } from "./write-person";

/** What moves where. */
interface Move {
  readonly otherPersonId: string;
  readonly moved: readonly string[];
  /** Whose the episodes are from now on. */
  readonly to: string;
}

/**
 * Merges the entry of a person that another episode belongs to into this one: its episodes, with their conditions, limits and
 * open stops, are this person's from then on. Or takes such a merge back.
 *
 * @throws ApiProblem 422 for the same entry, for one born on another day, for a merge that does not stand
 */
export function mergePeople(staff: StaffContext, episodeId: string, body: MergeBody): Promise<PersonWritten> {
  const fact: Fact = { of: "merges", body, action: "merge-people" };
  return writePerson(staff, episodeId, fact, async (scope) => {
    const { db, writing, loaded } = scope;
    const { otherPersonId, moved, to } = await moveAsked(scope, body);
    await lockHeads(db, staff.clinicId, moved);
    await moveEpisodes(db, staff.clinicId, moved, to);
    await appendFact(db, writing, merges, {
      id: body.id,
      at: writing.at,
      personId: loaded.head.personId,
      otherPersonId,
      moved: [...moved],
      reason: body.reason.trim(),
      ...(body.takesBack === undefined ? {} : { takesBack: body.takesBack.toLowerCase() }),
    });
  });
}

async function moveAsked(scope: WriteScope, { otherEpisode, takesBack }: MergeBody): Promise<Move> {
  if (takesBack !== undefined) return moveBack(scope, takesBack.toLowerCase());
  const { db, writing, loaded } = scope;
  const other = otherEpisode === undefined ? null : await findEpisode(db, writing.clinicId, otherEpisode);
  const wrong = (problem: string) => refused([{ path: "/otherEpisode", problem } satisfies FieldProblem]);
  if (!other) throw wrong("is not an episode of this clinic");
  if (other.personId === loaded.head.personId) throw wrong("is this person's already");
  if (other.person.bornOn !== loaded.head.person.bornOn)
    throw wrong("was born on another day; put the birth date right first, if it is the same person");
  const moved = await episodesOfPerson(db, writing.clinicId, other.id);
  return { otherPersonId: other.personId, moved, to: loaded.head.personId };
}

/** The episodes that came over and did not go home yet. */
async function moveBack({ db, writing, loaded }: WriteScope, id: string): Promise<Move> {
  const ids = await episodesOfPerson(db, writing.clinicId, loaded.head.id);
  const all = [...(await readFacts(db, merges, writing.clinicId, ids)).values()].flat();
  const merge = all.find((one) => one.id === id && one.takesBack === undefined);
  if (!merge || all.some((one) => one.takesBack === id))
    throw refused([{ path: "/takesBack", problem: "is not a merge of this person that stands" }]);
  const moved = merge.moved.filter((episode) => ids.includes(episode));
  if (moved.includes(loaded.head.id))
    throw refused([{ path: "/takesBack", problem: "is taken back from an episode that did not come over" }]);
  return { otherPersonId: merge.otherPersonId, moved, to: merge.otherPersonId };
}
