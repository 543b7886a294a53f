import { describe, expect, it } from "vitest";
import type { SetRecord } from "./session-record";
import { soreFrom } from "./sore-from";

const day = (date: string, painSite: SetRecord["painSite"], painDuring: number) => ({
  date,
  lastSessionAt: `${date}T09:00:00Z`,
  sessions: [{ items: [{ sets: [{ side: "left" as const, painDuring, painSite, effort: 5, faults: [] }] }] }],
});

describe("whether lasting soreness is asked about", () => {
  const sore = [day("2026-03-02", "episode", 3), day("2026-03-05", "muscle", 4)];
  it.each([
    ["more than two days after a sore muscle", sore, "2026-03-07T09:01:00Z", "2026-03-05"],
    ["two days to the minute are not more", sore, "2026-03-07T09:00:00Z", null],
    ["pain elsewhere is no soreness", [day("2026-03-05", "elsewhere", 4)], "2026-03-08T09:00:00Z", null],
    ["no pain is none", [day("2026-03-05", "muscle", 0)], "2026-03-08T09:00:00Z", null],
    ["only the last day counts", [...sore].reverse(), "2026-03-08T09:00:00Z", null],
    ["nobody has trained", [], "2026-03-08T09:00:00Z", null],
  ])("%s", (_what, days, now, expected) => expect(soreFrom(days, now)).toBe(expected));
});
