import { describe, expect, it } from "vitest";
import { conditions } from "~/catalogue/conditions/all";
import { startingExercises } from "~/catalogue/exercises/all";
import { catalogueDe } from "~/catalogue/languages/de/all";
import { startingPathways } from "~/catalogue/pathways/all";
import { procedures } from "~/catalogue/procedures/all";
import { deHandout } from "./de-handout";
import { en } from "./en";
import { speaker } from "./speaker";

/** What limits say, wherever they stand in the data of the trade. */
function limitWords(data: unknown): string[] {
  if (Array.isArray(data)) return data.flatMap(limitWords);
  if (typeof data !== "object" || data === null) return [];
  const { kind, says } = data as { kind?: unknown; says?: unknown };
  const own = typeof kind === "string" && typeof says === "string" ? [says] : [];
  return [...own, ...Object.values(data).flatMap(limitWords)];
}
const told = new Set([
  ...startingExercises.flatMap(({ name, cues, safety, caution }) => [
    name,
    ...cues.slice(0, 3),
    ...(safety ? [safety] : []),
    ...(caution ? [caution] : []),
  ]),
  ...limitWords([startingPathways, procedures, conditions]),
]);
const valuesIn = (text: string) =>
  [...new Set([...text.matchAll(/\{(\w+)\s*[,}]/gu)].map(([, name]) => name))].sort();
const figuresIn = (text: string) => (text.match(/\d+/gu) ?? []).sort();

describe("German", () => {
  it("has a word for everything the catalogue can put on a sheet, and none for what it does not", () => {
    expect([...told].filter((text) => !(text in catalogueDe))).toEqual([]);
    expect(Object.keys(catalogueDe).filter((text) => !told.has(text))).toEqual([]);
  });

  it("keeps every figure: degrees, weeks, centimetres, per cent", () => {
    const figures = Object.entries(catalogueDe).filter(([text]) => /\d/u.test(text));
    expect(figures.length).toBeGreaterThan(20);
    for (const [text, german] of figures) expect(figuresIn(german), text).toEqual(figuresIn(text));
  });

  it("has the same values in every sentence", () => {
    for (const [key, german] of Object.entries(deHandout)) {
      const english = en[key as keyof typeof deHandout];
      expect(valuesIn(german), key).toEqual(valuesIn(english));
    }
  });

  it("says one and many, numbers and dates as they are written there", () => {
    const de = speaker("de");
    expect(de.t("handout.sets", { sets: 1, work: "x" })).toBe("1 Satz: x");
    expect(de.t("handout.days", { days: 1 })).toBe("an 1 Tag in der Woche");
    expect(de.number(2.5)).toBe("2,5");
    expect(de.date("2026-03-09")).toBe("Mo., 9. März");
    expect(de.longDate("2026-03-09")).toBe("9. März 2026");
    expect(de.time("2026-03-09T08:30:00Z", "Europe/Vienna")).toBe("09.03.2026, 09:30");
    expect(de.text("Heel slide")).toBe("Ferse gleiten lassen");
    expect(de.text("What a clinic wrote itself")).toBe("What a clinic wrote itself");
  });
});
