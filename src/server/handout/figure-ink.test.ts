import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { figureOf } from "~/catalogue/figures/all";
import { firstPrescription } from "~/core/exercise/exercise";
import { drawFigure } from "~/core/figure/draw-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { greyOf, inkOf, inks } from "./figure-ink";

describe("a figure on paper", () => {
  it("has an ink for every shape that any exercise draws, as the screen has a style", () => {
    const body = bodyLengths({ heightM: 1.7 });
    const looks = new Set<string>();
    for (const exercise of startingExercises)
      for (const variant of exercise.variants) {
        const figure = figureOf(exercise, firstPrescription(variant), body);
        const drawn = figure && drawFigure(body, figure, 0, { left: true, marked: "leg" });
        if (drawn?.ok) for (const { look } of drawn.shapes) for (const one of look.split(" ")) looks.add(one);
      }
    const style = readFileSync("src/styles/figure.css", "utf8");
    const styled = [...looks].filter((look) => style.includes(`.${look}`));
    expect(styled.filter((look) => inks[look] === undefined)).toEqual([]);
    expect(looks.size).toBeGreaterThan(25);
  });

  it("is filled and edged as its look says, by an edge alone where nothing is said", () => {
    expect(inkOf("skin-w")).toMatchObject({ fill: "#d8b69a", line: "#222f3c" });
    expect(inkOf("no such look")).toEqual({ line: "#222f3c" });
  });

  // Grey of the same lightness: weights of ITU-R BT.709.
  it.each([
    ["#000000", "#000000"],
    ["#ffffff", "#ffffff"],
    ["#ff0000", "#363636"],
    ["#00ff00", "#b6b6b6"],
    ["#0000ff", "#121212"],
  ])("is grey without colour: %s as %s", (colour, grey) => expect(greyOf(colour)).toBe(grey));
});
