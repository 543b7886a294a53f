import { beforeEach, describe, expect, it, vi } from "vitest";
import { draftToResume, keepDraft } from "./kept-draft";
import type { SessionDraft } from "./session-draft";

const draft = (minutes: string): SessionDraft => ({
  id: "d",
  occurredAt: "2026-03-10T09:00:00.000Z",
  painBefore: 1,
  minutes,
  otherLoad: "",
  stillSore: false,
  supersedes: "",
  items: [],
});
const there = (minutes: string, savedAt: string) => ({
  id: "d",
  body: { ...draft(minutes) },
  savedAt,
  by: "Somebody",
});
const [early, late] = ["2026-03-10T09:05:00.000Z", "2026-03-10T09:15:00.000Z"];
const resumed = (inDatabase: Parameters<typeof draftToResume>[1]) =>
  draftToResume("e", inDatabase)?.draft.minutes ?? null;

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal("sessionStorage", {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  });
});

describe("which unfinished session is gone on with", () => {
  it("none where none was begun; the database's where this device has none", () => {
    expect(resumed(null)).toBeNull();
    expect(resumed(there("20", early))).toBe("20");
  });
  it("this device's, with what it has not sent yet", () => {
    keepDraft("e", draft("30"), early);
    expect(resumed(there("20", early))).toBe("30");
  });
  it("the other device's, where that one has gone on with it since", () => {
    keepDraft("e", draft("30"), early);
    expect(resumed(there("45", late))).toBe("45");
  });
  it("none, where another device has recorded it", () => {
    keepDraft("e", draft("30"), early);
    expect(resumed(null)).toBeNull();
  });
  it("none of a shape that this version does not fill in, wherever it lies", () => {
    const set = { side: "left", reps: "12" };
    const wrong: Record<string, unknown>[] = [
      { items: "none" },
      { ...draft("20"), painBefore: "one" },
      { ...draft("20"), occurredAt: "yesterday" },
      { ...draft("20"), items: [{ itemId: "i", differs: false, count: 1, sets: [set], unplanned: null }] },
      {
        ...draft("20"),
        items: [
          { itemId: "i", differs: false, count: 1, sets: [], unplanned: { exercise: {}, variantId: "v" } },
        ],
      },
    ];
    for (const body of wrong) {
      expect(resumed({ id: "d", body, savedAt: late, by: "Somebody" })).toBeNull();
      sessionStorage.setItem("session-e", JSON.stringify({ draft: body, savedAt: late }));
      expect(resumed(null)).toBeNull();
      expect(resumed(there("20", early))).toBe("20");
    }
    sessionStorage.setItem("session-e", "{");
    expect(resumed(null)).toBeNull();
  });
  it("this device's, where the database never got it", () => {
    keepDraft("e", draft("30"), null);
    expect(resumed(null)).toBe("30");
    expect(resumed(there("20", late))).toBe("30");
  });
});
