import { Type, type Static } from "@sinclair/typebox";
import { addDays, daysBetween } from "~/core/schedule/local-day";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { oneOf } from "~/core/schema/one-of";

/** The steps in their order: a small dose in the warm-up, more of it on another day, then somebody else's look. */
export const smallDoseSteps = ["begin", "more", "refer"] as const;

/** A step as it was signed, with the day to look again. */
export const SmallDoseStep = Type.Object(
  {
    id: Type.String({ minLength: 1, maxLength: 60 }),
    at: Type.String({ format: "date-time" }),
    step: oneOf(smallDoseSteps),
    lookOn: Type.String({ format: "date" }),
    note: Type.String({ maxLength: 400 }),
  },
  { additionalProperties: false },
);
export type SmallDoseStep = Static<typeof SmallDoseStep>;

/** After two to three weeks one looks again; days from today (common practice). */
export const lookAgainDays = { usual: 21, least: 7, most: 42 } as const;

export const smallDoseStates = [
  "nothing",
  "screen",
  "begin",
  "wait",
  "moving",
  "more",
  "refer",
  "referred",
] as const;
export type SmallDoseState = (typeof smallDoseStates)[number];

export interface SmallDoseKnown {
  /** Some movement is stalled today. */
  readonly stalled: boolean;
  /** Days on which bending forward and bending backward were last looked at; null for never. */
  readonly forwardOn: string | null;
  readonly backwardOn: string | null;
  readonly steps: readonly SmallDoseStep[];
  /** Local date. */
  readonly today: string;
}

/** A look at forward and backward bending counts for so many days (common practice). */
const screenCountsDays = 28;

/**
 * What comes next for somebody whose planned loads stall with a stiff back: look where bending forward locks and whether bending
 * backward hurts; two sets of twelve backward in the warm-up; wait until the day to look again; where nothing moves by then, more
 * on another day; then refer. One change at a time, and the rest of the training is left alone.
 *
 * @example nextSmallDose({ stalled: false, forwardOn: null, backwardOn: null, steps: [], today: "2026-03-30" }) // "nothing"
 * Source: common practice.
 */
export function nextSmallDose({
  stalled,
  forwardOn,
  backwardOn,
  steps,
  today,
}: SmallDoseKnown): SmallDoseState {
  const last = latestStep(steps);
  if (!last) {
    if (!stalled) return "nothing";
    const isFresh = (on: string | null) => on !== null && daysBetween(on, today) <= screenCountsDays;
    return isFresh(forwardOn) && isFresh(backwardOn) ? "begin" : "screen";
  }
  if (last.step === "refer") return "referred";
  if (today < last.lookOn) return "wait";
  if (!stalled) return "moving";
  return last.step === "begin" ? "more" : "refer";
}

/** The step that was signed last, in whatever order they stand; undefined where none was. */
export function latestStep(steps: readonly SmallDoseStep[]): SmallDoseStep | undefined {
  return [...steps].sort((a, b) => a.at.localeCompare(b.at)).at(-1);
}

/**
 * What is wrong with a step that is to be signed: not the one that comes next, or a day to look again that is too near or too far.
 *
 * @example smallDoseProblems({ step: "more", lookOn: "2026-04-20" }, { next: "wait", today: "2026-03-30" }) // [{ path: "/step", problem: "is not what comes next" }]
 */
export function smallDoseProblems(
  { step, lookOn }: Pick<SmallDoseStep, "step" | "lookOn">,
  { next, today }: { next: SmallDoseState; today: string },
): FieldProblem[] {
  const { least, most } = lookAgainDays;
  // Nobody has to wait to refer, and a look may be left out by whoever examined by hand.
  const fits = step === next || step === "refer" || (step === "begin" && next === "screen");
  return [
    ...problemIf(!fits || next === "referred", "/step", "is not what comes next"),
    ...problemIf(
      lookOn < addDays(today, least) || lookOn > addDays(today, most),
      "/lookOn",
      `lies ${least} to ${most} days from today`,
    ),
  ];
}
