import { describe, expect, it } from "vitest";
import { startingPathways } from "~/catalogue/pathways/all";
import { addDays } from "~/core/schedule/local-day";
import { firstDay, walking } from "~tests/harness/walk";

const walk = walking();

describe.each(startingPathways.map((pathway) => [pathway.code, pathway] as const))("%s", (_code, pathway) => {
  it("is walked from intake to its last stage through the endpoints, without an override", async () => {
    await walk.morning(firstDay);
    const begun = await walk.begin(pathway);
    const today = await walk.toTheEnd(begun, pathway);
    const last = pathway.stages.at(-2)?.gate;
    const counted = pathway.countsFrom === "surgery" ? "2026-03-07" : "2026-02-10";
    expect(today >= addDays(counted, last?.minimumDaysSinceOnset ?? 0)).toBe(true);
    const row = (await walk.client.get("/api/caseload")).body.rows.find(
      (r: { episodeId: string }) => r.episodeId === begun.id,
    );
    expect(row).toMatchObject({ stageNumber: pathway.stages.length, stageCount: pathway.stages.length });
  });
});
