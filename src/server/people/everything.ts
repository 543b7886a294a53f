import type { Identity } from "~/contract/people";
import type { RecordView } from "~/contract/record";
import { episodesOfPerson } from "~/server/case/episode-repository";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { pool } from "~/server/db/connection";
import { recordView } from "~/server/episode/read-record";
import type { StaffContext } from "~/server/staff-context";
import { identityOf } from "./person-view";

/** One episode with its whole record. */
interface EpisodeRecord {
  readonly diagnosis: string;
  readonly startedAt: string;
  readonly record: RecordView;
}

/** Everything that is kept of a person in words, episode by episode: to be read by the person. */
export async function readEverything(
  staff: StaffContext,
  id: string,
): Promise<{ identity: Identity; episodes: EpisodeRecord[] }> {
  const { head } = await loadEpisode(staff, id);
  await noteRead(staff, id, "print-person");
  const ids = await episodesOfPerson(pool(), staff.clinicId, id);
  const episodes = await Promise.all(
    ids.map(async (episodeId) => {
      const loaded = await loadEpisode(staff, episodeId);
      const { diagnosis, startedAt } = loaded.head;
      return { diagnosis, startedAt, record: await recordView(staff, loaded) };
    }),
  );
  return { identity: identityOf(head), episodes };
}
