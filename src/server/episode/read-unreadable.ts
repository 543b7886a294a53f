import { signingRoles } from "~/contract/roles";
import type { StaffContext } from "~/server/staff-context";
import { loadEpisode } from "~/server/case/load-episode";
import { openSignals } from "./open-signals";

/** What is left to show of a record that the rules cannot judge: whose it is, its open signals, its exercises by name. */
export async function readUnreadable(staff: StaffContext, episodeId: string) {
  const loaded = await loadEpisode(staff, episodeId);
  const { givenName, familyName } = loaded.head.person;
  const exercises = new Map(loaded.file.exercises.map(({ id, name }) => [id, name]));
  return {
    name: `${givenName} ${familyName}`,
    record: {
      episodeId: loaded.head.id,
      zone: staff.zone,
      calls: staff.calls,
      signals: openSignals(loaded),
      maySign: signingRoles.includes(staff.role),
      items: loaded.file.items
        .filter((item) => item.endedAt === undefined)
        .map((item) => ({
          itemId: item.id,
          exercise: { name: exercises.get(item.exerciseId) ?? item.exerciseId },
        })),
    },
  };
}
