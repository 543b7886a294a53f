import type { Identity, PersonView } from "~/contract/people";
import { settingRoles, signingRoles } from "~/contract/roles";
import { episodeState } from "~/core/episode/episode-turn";
import { episodesOfPerson, findEpisodes, type EpisodeHead } from "~/server/case/episode-repository";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { pool } from "~/server/db/connection";
import { identityChanges } from "~/server/facts/identity-changes";
import { handovers as handoverFacts } from "~/server/facts/handovers";
import { merges as mergeFacts } from "~/server/facts/merges";
import { findColleagues } from "~/server/staff/colleague-repository";
import { readFacts } from "~/server/facts/sql";
import { findErasureRequest } from "./erasure-repository";
import type { StaffContext } from "~/server/staff-context";

/** Who somebody is, by the row of the person. */
export const identityOf = ({ person }: EpisodeHead): Identity => ({ ...person });

/** Who a patient is, how their episodes stand, and what was put right of it. */
export async function readPerson(staff: StaffContext, id: string): Promise<PersonView> {
  const { head, parts, file } = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-person");
  const ids = await episodesOfPerson(pool(), staff.clinicId, id);
  const heads = await findEpisodes(pool(), staff.clinicId, ids);
  const colleagues = await findColleagues(pool(), staff.clinicId);
  const changes = await readFacts(pool(), identityChanges, staff.clinicId, ids);
  // Of two at one instant the one that was written later comes first.
  const latestFirst = <T extends { at: string }>(all: readonly T[]) =>
    [...all].reverse().sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  return {
    episodeId: head.id,
    zone: file.zone,
    identity: identityOf(head),
    state: episodeState(head),
    turns: latestFirst(parts.turns).map((turn) => ({ ...turn, summary: turn.summary ?? null })),
    changes: latestFirst([...changes.values()].flat()),
    episodes: heads
      .map((episode) => ({
        episodeId: episode.id,
        diagnosis: episode.diagnosis,
        involvedSide: episode.involvedSide,
        startedAt: episode.startedAt,
        state: episodeState(episode),
      }))
      .sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt)),
    merges: latestFirst([...(await readFacts(pool(), mergeFacts, staff.clinicId, ids)).values()].flat()).map(
      (merge, _, all) => ({
        id: merge.id,
        at: merge.at,
        by: merge.by,
        moved: merge.moved.length,
        reason: merge.reason,
        back: merge.takesBack !== undefined,
        standing: merge.takesBack === undefined && !all.some(({ takesBack }) => takesBack === merge.id),
      }),
    ),
    heldBy: head.heldBy?.name ?? null,
    colleagues: colleagues
      .filter(({ active, role, id: who }) => active && signingRoles.includes(role) && who !== head.heldBy?.id)
      .map(({ id: who, name }) => ({ id: who, name })),
    handovers: latestFirst((await readFacts(pool(), handoverFacts, staff.clinicId, [id])).get(id) ?? []).map(
      ({ id: handover, at, by, toStaff, reason }) => ({
        id: handover,
        at,
        by,
        reason,
        to: colleagues.find((one) => one.id === toStaff)?.name ?? "",
      }),
    ),
    maySign: signingRoles.includes(staff.role),
    maySet: settingRoles.includes(staff.role),
    erasureAskedAt: (await findErasureRequest(pool(), staff.clinicId, head.personId))?.at ?? null,
  };
}
