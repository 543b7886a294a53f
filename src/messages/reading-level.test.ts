import { fleschKincaid } from "flesch-kincaid";
import { syllable } from "syllable";
import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { handout } from "./en-handout";
import { phone } from "./en-phone";

/**
 * School years that a text asks for: Flesch and Kincaid's grade level (Kincaid et al. 1975), by packages of the registry. A child of
 * twelve is in the sixth to seventh year.
 */
function gradeOf(texts: readonly string[]): number {
  const said = texts.map((text) =>
    text
      .replaceAll(/\{(\w+)(?:, (?:plural|select)[^}]*\{([^}]*)\}[^}]*\}?)*\}?/gu, "5")
      .replaceAll(/[{}#]/gu, ""),
  );
  const sentences = said
    .flatMap((text) => text.split(/[.?!]+(?:\s|$)/u))
    .filter((part) => /\p{L}/u.test(part));
  const words = sentences.flatMap((sentence) => sentence.match(/[\p{L}\d'’-]+/gu) ?? []);
  return fleschKincaid({
    sentence: sentences.length,
    word: words.length,
    syllable: words.reduce((sum, word) => sum + syllable(word), 0),
  });
}
const sentencesIn = (texts: Readonly<Record<string, string>>) =>
  Object.values(texts)
    .flatMap((text) => text.split("\n"))
    .filter((text) => text.split(" ").length > 3);

describe("what a patient reads alone", () => {
  it("is measured by a formula that knows plain from hard", () => {
    expect(gradeOf(["The cat sat on the mat. It was warm."])).toBeLessThan(3);
    expect(
      gradeOf([
        "Neuromuscular rehabilitation necessitates individualised progressive resistance prescription.",
      ]),
    ).toBeGreaterThan(15);
  });

  it("asks no more than a child of twelve can read: the phone, the handout, the cues", () => {
    const grades = {
      phone: gradeOf(sentencesIn(phone)),
      handout: gradeOf(sentencesIn(handout)),
      cues: gradeOf(startingExercises.flatMap(({ cues }) => cues)),
    };
    for (const [what, grade] of Object.entries(grades)) expect(grade, what).toBeLessThan(7);
  });

  it("and no sentence of it a child of fifteen could not", () => {
    const hard = [...sentencesIn(phone), ...sentencesIn(handout)].filter((text) => gradeOf([text]) > 10);
    expect(hard).toEqual([]);
  });
});
