import { LRUCache } from "lru-cache";
import { pool } from "~/server/db/connection";
import { forgottenBy } from "~/server/remembered";
import { episodesOfPerson, OtherEpisodes } from "./episode-repository";

/** Which episodes belong to one person, as of the last write into one of them; looked up anew when that is so no longer. */
const known = new LRUCache<string, readonly string[]>({ max: 20_000 });
forgottenBy(() => known.clear());

/**
 * Does a write that concerns a person with all episodes of theirs, as they are remembered; once more with what the database says, should
 * the write find that there are others.
 *
 * @param work takes the ids in order, and whether they are only remembered; where it throws OtherEpisodes it has written nothing
 */
export async function withEpisodesOfPerson<R>(
  clinicId: string,
  episodeId: string,
  work: (ids: readonly string[], isRemembered: boolean) => Promise<R>,
): Promise<R> {
  const key = `${clinicId} ${episodeId}`;
  const before = known.get(key);
  if (before) {
    try {
      return await work(before, true);
    } catch (error) {
      if (!(error instanceof OtherEpisodes)) throw error;
    }
  }
  const ids = await episodesOfPerson(pool(), clinicId, episodeId);
  const done = await work(ids, false);
  known.set(key, ids);
  return done;
}
