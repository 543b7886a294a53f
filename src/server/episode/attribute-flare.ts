import type { Written } from "~/core/interchange/contract";
import type { AttributionBody } from "~/core/interchange/daily-contract";
import { caseDays, itemDays } from "~/core/case/case-days";
import type { StaffContext } from "~/server/auth/staff-context";
import { refused } from "~/server/http/problem";
import { insertAttribution } from "./daily-writer";
import { writeFact } from "./write-episode";

/** Lays a day's reaction at another item's door than the proposed one, with the reason. */
export function attributeFlare(
  staff: StaffContext,
  episodeId: string,
  body: AttributionBody,
): Promise<Written> {
  const fact = { table: "flare_attributions", id: body.id, action: "attribute-flare" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const done = itemDays(caseDays(file), body.itemId).some((day) => day.date === body.trainingDate);
    if (!done) throw refused([{ path: "/itemId", problem: "was not done on that training day" }]);
    await insertAttribution(db, writing, body);
  });
}
