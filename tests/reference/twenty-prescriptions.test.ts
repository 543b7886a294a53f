import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { synonyms } from "~/catalogue/exercises/synonyms";
import { offeredWords } from "~/catalogue/figures/offered";
import { figureOf } from "~/catalogue/figures/all";
import { stageNeeds } from "~/catalogue/stage-needs/all";
import { labelBook } from "~/core/demand/label-book";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import { findKnob, turnedKnobs } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import { figureExtent } from "~/core/figure/draw-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { exerciseIndex, exerciseSearch } from "~/core/progression/exercise-search";
import { harder } from "~/core/progression/harder";
import { prescriptionProblems } from "~/core/progression/prescription-problems";
import { readDoseLine } from "~/core/prescribe/dose-line";
import { lineWords, withLine } from "~/islands/prescribe/line-draft";
import { draftOf, prescriptionOf } from "~/islands/prescribe/prescribe-draft";
import { asked } from "~tests/builders/twenty-prescriptions";

/** Without what is left undefined. */
const structured = (one: Prescription) => JSON.parse(JSON.stringify(one)) as Prescription;
const index = exerciseIndex(startingExercises, stageNeeds, synonyms);

describe.each(asked)(
  "'$said'",
  ({ typed, line, exercise: id, variant: variantId, settings, dose, leg, next }) => {
    const exercise = startingExercises.find((one) => one.id === id);
    if (!exercise) throw new Error(`${id} is not in the catalogue`);
    const variant = variantOf(exercise, variantId);
    const first = firstPrescription(variant, leg);
    const prescription: Prescription = {
      ...first,
      settings: { ...first.settings, ...settings },
      dose: { ...first.dose, ...dose },
    };

    it("is found by what is typed", () => {
      const ids = [...new Set(exerciseSearch(index, { text: typed }).map((hit) => hit.exercise.id))];
      expect(ids.slice(0, 5)).toContain(id);
    });

    it("is what the form holds when it is said in one line", () => {
      const context = {
        prescription: first,
        words: lineWords(exercise, variant),
        involvedSide: "right" as const,
      };
      const { turns, problems } = readDoseLine(line, { ...context, takesRole: true });
      expect(problems).toEqual([]);
      const { leg: _none, ...told } = structured(prescription);
      expect(prescriptionOf(withLine(draftOf(first), turns))).toMatchObject(
        leg === undefined ? told : structured(prescription),
      );
    });

    it("makes sense, stands at words the movement shows, and can be drawn for small and tall", () => {
      expect(prescriptionProblems(exercise, prescription, false)).toEqual([]);
      for (const [name, value] of Object.entries(prescription.settings))
        if (findKnob(name)?.words) expect(offeredWords(exercise, name)).toContain(value);
      for (const heightM of [1.6, 1.9]) {
        const body = bodyLengths({ heightM });
        const figure = figureOf(exercise, prescription, body);
        if (!figure) throw new Error("no figure");
        expect(figureExtent(body, figure, { left: false, marked: "leg" }).ok).toBe(true);
      }
    });

    it("is stepped as said beforehand, one knob and no other", () => {
      const found = harder(exercise, prescription, {
        restrictions: [],
        today: "2026-03-02",
        book: labelBook,
      });
      if (next === null) return;
      if (found.found !== "change") throw new Error(found.found);
      expect([found.change.knob, found.change.to]).toEqual(next);
      const also = turnedKnobs(prescription, found.change.prescription).filter(
        (name) => name !== found.change.knob,
      );
      // As the repetition maximum falls the load may rise to the next that is on the shelf.
      const mayAlso = found.change.knob === "repetition-maximum" ? ["load"] : [];
      expect(also.filter((name) => !mayAlso.includes(name))).toEqual([]);
    });
  },
);
