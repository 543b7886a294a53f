import { signingRoles } from "~/contract/roles";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { readParts } from "~/server/case/case-parts";
import { findEpisode } from "~/server/case/episode-repository";
import { loadEpisode } from "~/server/case/load-episode";
import { notFound } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { openSignals, type LoadedSignals } from "./open-signals";

/**
 * What is left to show of a record that the rules cannot judge: whose it is, its open signals, its exercises by name; the
 * first two even of one that cannot be put together.
 */
export async function readUnreadable(staff: StaffContext, episodeId: string) {
  const head = await findEpisode(pool(), staff.clinicId, episodeId);
  if (!head) throw notFound();
  const { file, parts } = await whatIsLeft(staff, episodeId);
  const exercises = new Map(file.exercises.map(({ id, name }) => [id, name]));
  return {
    name: `${head.person.givenName} ${head.person.familyName}`,
    record: {
      episodeId: head.id,
      zone: staff.zone,
      calls: staff.calls,
      signals: openSignals({ file, parts }, staff),
      maySign: signingRoles.includes(staff.role),
      items: file.items
        .filter((item) => item.endedAt === undefined)
        .map((item) => ({
          itemId: item.id,
          name: exercises.get(item.exerciseId) ?? item.exerciseId,
        })),
    },
  };
}

async function whatIsLeft(staff: StaffContext, episodeId: string): Promise<LoadedSignals> {
  try {
    return await loadEpisode(staff, episodeId);
  } catch {
    const parts = (await readParts(pool(), staff.clinicId, [episodeId])).get(episodeId);
    if (!parts) throw notFound();
    return { parts, file: { items: [], exercises: [], asOf: now() } };
  }
}
