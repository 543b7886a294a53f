import type { Written } from "~/contract/episode";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { stairView } from "./stair-view";

/** Writes one fact into an episode and answers with the stair as it stands then. */
export async function writeFact(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  append: (scope: WriteScope) => Promise<void>,
): Promise<Written> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, append, (loaded) =>
    stairView(staff, loaded),
  );
  return { id: fact.body.id, repeated, stair: seen };
}
