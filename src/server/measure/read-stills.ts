import type { StillsView } from "~/contract/measures";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { pool } from "~/server/db/connection";
import { readFacts, readLatestFacts } from "~/server/facts/sql";
import { stills as stillFacts } from "~/server/facts/stills";
import { visits } from "~/server/facts/visits";
import { maySeal, unseal } from "~/server/seal/seal";
import type { StaffContext } from "~/server/staff-context";

/** As many are shown beside a new one; older ones are in the person's file. */
const shownAtMost = 4;

/** Points of pictures taken of somebody, the latest first, with the picture where it was kept. */
export async function readStills(staff: StaffContext, episodeId: string): Promise<StillsView> {
  await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-stills");
  const [stills, days] = await Promise.all([
    readLatestFacts(pool(), stillFacts, staff.clinicId, episodeId, { most: shownAtMost }),
    readFacts(pool(), visits, staff.clinicId, [episodeId]),
  ]);
  const takenOn = new Map((days.get(episodeId) ?? []).map((visit) => [visit.id, visit.takenOn]));
  return {
    episodeId,
    mayKeepPictures: maySeal(),
    stills: stills.map(({ recordedAt: _at, visitId, picture, ...still }) => ({
      ...still,
      takenOn: takenOn.get(visitId) ?? "",
      picture: picture === undefined ? null : unseal(staff.clinicId, still.id, picture),
    })),
  };
}
