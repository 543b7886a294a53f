import type { ClearanceBody, Written } from "~/core/interchange/contract";
import type { StaffContext } from "~/server/auth/staff-context";
import { refused } from "~/server/http/problem";
import { insertClearance } from "./fact-writer";
import { stairView } from "./stair-view";
import { writeFact } from "./write-episode";

/** Clears a stopped item in writing. */
export function clearStop(staff: StaffContext, episodeId: string, body: ClearanceBody): Promise<Written> {
  const fact = { table: "clearances", id: body.id, action: "clear-stop" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const item = stairView(staff, loaded).items.find((candidate) => candidate.itemId === body.itemId);
    if (item?.proposal.outcome !== "stop") {
      throw refused([{ path: "/itemId", problem: "is not stopped" }]);
    }
    await insertClearance(db, writing, body);
  });
}
