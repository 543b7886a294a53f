import type { ClearanceBody } from "~/contract/daily";
import type { Written } from "~/contract/episode";
import type { StaffContext } from "~/server/staff-context";
import { refused } from "~/server/http/problem";
import { clearances } from "~/server/facts/clearances";
import { appendFact } from "~/server/facts/sql";
import { stairView } from "./stair-view";
import { writeFact } from "~/server/episode/write-fact";

/** Clears a stopped item in writing. */
export function clearStop(staff: StaffContext, episodeId: string, body: ClearanceBody): Promise<Written> {
  const fact = { of: "clearances", body, action: "clear-stop" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const item = stairView(staff, loaded).items.find((candidate) => candidate.itemId === body.itemId);
    if (item?.proposal.outcome !== "stop") {
      throw refused([{ path: "/itemId", problem: "is not stopped" }]);
    }
    if (item.proposal.rule === "beyond-limit") {
      const problem = "goes beyond a limit: change the limit, or choose another exercise";
      throw refused([{ path: "/itemId", problem }]);
    }
    await appendFact(db, writing, clearances, { ...body, at: writing.at });
  });
}
