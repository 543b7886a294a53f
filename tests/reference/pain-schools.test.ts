import { describe, expect, it } from "vitest";
import { painResponse } from "~/core/response/pain-response";
import type { PainSchoolCode } from "~/core/response/pain-school";

type Row = [school: PainSchoolCode, during: string, nextByRise: string, source: string];

/** Bands for pain during 0…10 (pain before 0) and for a rise of 0…5; g go/fine, h hold, e ease. */
const table: Row[] = [
  ["pain-free", "gheeeeeeeee", "gheeee", "common practice"],
  ["monitored", "ggghhheeeee", "ggheee", "Thomeé 1997; Silbernagel 2007 (recalled); rises common practice"],
  ["tendon", "ggggeeeeeee", "geeeee", "Malliaras 2015 (recalled)"],
  ["threshold-4", "gggggeeeeee", "gghee", "Hickey 2020 (recalled); rises common practice"],
];

describe.each(table)("school %s", (school, during, nextByRise, source) => {
  it.each([...during].map((band, pain) => [pain, band] as const))(
    `pain %i during is %s (${source})`,
    (pain, band) => {
      const words = { g: "go", h: "hold", e: "ease" }[band];
      expect(painResponse({ school, painBefore: 0, painDuring: pain }).during).toBe(words);
    },
  );

  it.each([...nextByRise].map((band, rise) => [rise, band] as const))("a rise of %i is %s", (rise, band) => {
    const words = { g: "fine", h: "hold", e: "ease" }[band];
    expect(painResponse({ school, painBefore: 0, painDuring: 0, painNextDay: rise }).nextDay).toBe(words);
  });
});

describe("what bands do not say", () => {
  it("monitored: next-day pain of 6 eases although it rose by one only (common practice)", () => {
    const answer = painResponse({ school: "monitored", painBefore: 5, painDuring: 5, painNextDay: 6 });
    expect(answer.nextDay).toBe("ease");
  });

  it("a sore start is held, not punished: judged by its rise", () => {
    expect(painResponse({ school: "monitored", painBefore: 4, painDuring: 5 }).during).toBe("hold");
    expect(painResponse({ school: "monitored", painBefore: 4, painDuring: 6 }).during).toBe("ease");
    expect(painResponse({ school: "monitored", painBefore: 4, painDuring: 0 }).during).toBe("hold");
    expect(painResponse({ school: "pain-free", painBefore: 1, painDuring: 2 }).during).toBe("hold");
  });

  it("without a report the next day is unknown", () => {
    expect(painResponse({ school: "tendon", painBefore: 0, painDuring: 0 }).nextDay).toBe("unknown");
  });
});
