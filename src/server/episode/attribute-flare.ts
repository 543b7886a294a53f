import type { Written } from "~/contract/episode";
import type { AttributionBody } from "~/contract/daily";
import { itemDays } from "~/core/case/case-days";
import type { StaffContext } from "~/server/staff-context";
import { refused } from "~/server/http/problem";
import { attributions } from "~/server/facts/attributions";
import { appendFact } from "~/server/facts/sql";
import { writeFact } from "~/server/episode/write-fact";

/** Lays a day's reaction at another item's door than the proposed one, with the reason. */
export function attributeFlare(
  staff: StaffContext,
  episodeId: string,
  body: AttributionBody,
): Promise<Written> {
  const fact = { of: "attributions", body, action: "attribute-flare" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const done = itemDays(loaded.days(), body.itemId).some((day) => day.date === body.trainingDate);
    if (!done) throw refused([{ path: "/itemId", problem: "was not done on that training day" }]);
    await appendFact(db, writing, attributions, { ...body, reason: body.reason.trim(), at: writing.at });
  });
}
