import type { Figure, Prop } from "~/core/figure/figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { plus, type Vec } from "~/core/pose/space";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { knobsOf, type Knobs, type Recipe } from "./parts";
import { bridgeFigures } from "./bridges";
import { calfFigures } from "./calf";
import { earlyPressFigures } from "./early-presses";
import { floorFigures } from "./floor-work";
import { floorFormFigures } from "./floor-forms";
import { partWorkFigures } from "./part-work";
import { pullFigures } from "./pulls";
import { shoulderFigures } from "./shoulder";
import { hingeFigures } from "./hinges";
import { jumpFigures } from "./jumps";
import { locomotionFigures } from "./locomotion";
import { lyingFigures } from "./lying";
import { sittingFigures } from "./sitting";
import { squatFigures } from "./squats";
import { standingHipFigures } from "./standing-hip";
import { stepFigures } from "./steps";
import { upperBodyFigures } from "./upper-body";

/** Every exercise that has a figure of its own, by its id. */
export const recipes: Readonly<Record<string, Recipe>> = {
  ...squatFigures,
  ...stepFigures,
  ...hingeFigures,
  ...calfFigures,
  ...standingHipFigures,
  ...lyingFigures,
  ...bridgeFigures,
  ...floorFigures,
  ...sittingFigures,
  ...jumpFigures,
  ...locomotionFigures,
  ...upperBodyFigures,
  ...pullFigures,
  ...partWorkFigures,
  ...floorFormFigures,
  ...shoulderFigures,
  ...earlyPressFigures,
};

/**
 * The figure of a variant as prescribed, for a body of these lengths: its exercise's own, or the one it borrows.
 *
 * @returns null when the exercise has none and borrows none
 */
export function figureOf(
  exercise: Pick<Exercise, "id" | "drawnLike">,
  { settings }: Pick<Prescription, "settings">,
  body: BodyLengths,
): Figure | null {
  const own = exercise.id in recipes ? exercise.id : (exercise.drawnLike ?? "");
  const recipe = recipes[own];
  if (!recipe) return null;
  const knobs = knobsOf(settings);
  return withSigns(byContraction(recipe(knobs, body), knobs, body), knobs, own);
}

/** What is held is shown at its hard end; what moves gets an arrow: both ways, or only down where only that is work. */
function byContraction(figure: Figure, k: Knobs, body: BodyLengths): Figure {
  const { timing, keys, props } = figure;
  if (k.is("contraction", "isometric")) return { ...figure, keys: keys.slice(-1), timing: { kind: "hold" } };
  const way = wayOf(figure, body);
  if (!way || timing.kind === "hold") return figure;
  const [from, to] = timing.lowers === "there" ? way : [way[1], way[0]];
  const heads = k.is("contraction", "eccentric-only") ? "end" : "both";
  return { ...figure, props: [...props, { kind: "arrow", from, to, heads }] };
}

/** The way of the point that moves, from the first key to the farthest, drawn beside the body. */
function wayOf(figure: Figure, body: BodyLengths): [Vec, Vec] | null {
  const { moves, keys } = figure;
  const farthest = figure.timing.kind === "sequence" ? Math.floor(keys.length / 2) : keys.length - 1;
  const [first, last] = [0, farthest].map((place) => resolveFigure(body, figure, place));
  if (!moves || !first?.ok || !last?.ok) return null;
  const [from, to] = [first.body.points[moves], last.body.points[moves]];
  const upDown = Math.abs(to[1] - from[1]) > Math.hypot(to[0] - from[0], to[2] - from[2]);
  const facing = figure.viewDeg > 45;
  const beside: Vec = upDown
    ? facing
      ? [0, 0, 0.2 * body.height]
      : [-0.13 * body.height, 0, 0]
    : [0, 0.09 * body.height, 0];
  return [plus(from, beside), plus(to, beside)];
}

/** Second tasks that are not counting: a signal waited for, or one that the body itself shows. */
const tasks: Readonly<Record<string, "signal" | "shown">> = {
  strides: "signal",
  "cutting-drills": "signal",
  "line-walk": "shown",
  "plank-leg-lift": "shown",
  "pelvic-tilt": "shown",
};

function withSigns(figure: Figure, k: Knobs, own: string): Figure {
  const task = k.is("attention", "second-task") ? (tasks[own] ?? "counting") : "shown";
  const signs: Prop[] = [
    ...(k.is("vision", "closed") ? [{ kind: "sign", what: "eyes-closed", at: "head" } as const] : []),
    ...(task === "shown" ? [] : [{ kind: "sign", what: task, at: "head" } as const]),
  ];
  return signs.length === 0 ? figure : { ...figure, props: [...figure.props, ...signs] };
}
