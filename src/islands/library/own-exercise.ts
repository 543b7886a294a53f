import type { FieldProblem } from "~/core/schema/field-problem";
import type { Exercise } from "~/core/exercise/exercise";
import type { Lane } from "~/core/exercise/body";
import { doseText, doseTextProblems, withDose, type DoseText } from "./own-dose";

/** What is typed about an exercise of the clinic's own. */
export interface OwnDraft {
  readonly name: string;
  readonly lane: Lane;
  readonly drawnLike: string;
  readonly feltIn: string;
  readonly notFeltIn: string;
  readonly cues: string;
  readonly caution: string;
  readonly safety: string;
  /** Variants that stay, by the id of the one they come from, with their names and doses. */
  readonly variants: readonly OwnVariant[];
}

export interface OwnVariant {
  readonly id: string;
  readonly name: string;
  readonly dose: DoseText;
}

/** A draft that says what an exercise says; for a new one without its name. */
export function draftOf(exercise: Exercise, isNew: boolean): OwnDraft {
  return {
    name: isNew ? "" : exercise.name,
    lane: exercise.lane,
    drawnLike: exercise.drawnLike ?? exercise.id,
    feltIn: exercise.feltIn,
    notFeltIn: exercise.notFeltIn ?? "",
    cues: exercise.cues.join("\n"),
    caution: exercise.caution ?? "",
    safety: exercise.safety ?? "",
    variants: exercise.variants.map(({ id, name, dose }) => ({ id, name, dose: doseText(dose) })),
  };
}

const lines = (text: string) =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean);

/** A code from a name: small letters, figures and hyphens. */
export const codeOf = (name: string) =>
  name
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 60);

/** What is wrong with a draft, by field; names that others have are wrong too. */
export function draftProblems(draft: OwnDraft, otherNames: readonly string[]): FieldProblem[] {
  const needed = (["name", "feltIn", "cues"] as const)
    .filter((key) => draft[key].trim() === "")
    .map((key) => ({ path: `/${key}`, problem: "missing" }));
  const taken = otherNames.some((name) => codeOf(name) === codeOf(draft.name));
  return [
    ...needed,
    ...(draft.name.trim() !== "" && taken ? [{ path: "/name", problem: "nameTaken" }] : []),
    ...(lines(draft.cues).length > 4 ? [{ path: "/cues", problem: "tooMany" }] : []),
    ...draft.variants.flatMap(({ name, dose }, n) => [
      ...(name.trim() === "" ? [{ path: `/variants/${n}`, problem: "missing" }] : []),
      ...doseTextProblems(dose, `/variants/${n}/dose`),
    ]),
    ...(draft.variants.length === 0 ? [{ path: "/variants", problem: "missing" }] : []),
  ];
}

/**
 * The exercise that a draft makes of another: its knobs and figure stay, words and doses are the draft's. A new one gets
 * ids of its own, and no published activity, which was measured on the other.
 */
export function exerciseOf(base: Exercise, draft: OwnDraft, isNew: boolean): Exercise {
  const id = isNew ? codeOf(draft.name) : base.id;
  const kept = new Map(draft.variants.map((variant) => [variant.id, variant]));
  const { caution: _c, safety: _s, notFeltIn: _n, drawnLike: _d, activation, ...rest } = base;
  const optional = (key: "caution" | "safety" | "notFeltIn") =>
    draft[key].trim() === "" ? {} : { [key]: draft[key].trim() };
  return {
    ...rest,
    ...(activation && !isNew ? { activation } : {}),
    ...optional("caution"),
    ...optional("safety"),
    ...optional("notFeltIn"),
    id,
    name: draft.name.trim(),
    lane: draft.lane,
    feltIn: draft.feltIn.trim(),
    cues: lines(draft.cues),
    ...(draft.drawnLike === id ? {} : { drawnLike: draft.drawnLike }),
    variants: base.variants.flatMap((variant, n) => {
      const own = kept.get(variant.id);
      if (!own) return [];
      const dosed = withDose(variant, own.dose);
      return [{ ...dosed, id: isNew ? `${id}-${n + 1}` : variant.id, name: own.name.trim() }];
    }),
    source: { kind: "common-practice" },
  };
}
