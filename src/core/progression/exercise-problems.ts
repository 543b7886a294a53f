import { doseProblems } from "./dose-problems";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Exercise, Turn, Variant } from "~/core/exercise/exercise";
import { firstPrescription } from "~/core/exercise/exercise";
import { differingSetting } from "./harder";
import { kitByCode } from "~/core/exercise/kit";
import { findKnob, knobByName } from "~/core/exercise/knob";

/**
 * What a schema cannot say about an exercise: knobs that do not exist, values a knob does not have, ladders that do
 * not run from easy to hard, kit nobody has, a dose that makes no sense, neighbours that differ in more than one
 * knob or run from hard to easy.
 *
 * @returns problems by path; empty when the exercise is sound
 */
export function exerciseProblems(exercise: Exercise): FieldProblem[] {
  const variants = [
    ...repeatedIds(exercise),
    ...exercise.variants.flatMap((variant, i) => variantProblems(variant, `/variants/${i}`)),
    ...activationProblems(exercise),
  ];
  if (variants.length > 0) return variants;
  return exercise.variants.slice(1).flatMap((variant, i) => {
    const previous = exercise.variants[i];
    return previous ? stepProblems(previous, variant, `/variants/${i + 1}`) : [];
  });
}

/** Fields that every new exercise must carry, although older versions in the record may lack them. */
export function missingFields(exercise: Exercise): FieldProblem[] {
  const needed = ["family", "muscles", "regions", "loads", "effort", "forbiddenBy"] as const;
  const own = needed.filter((key) => exercise[key] === undefined).map((key) => `/${key}`);
  const ofVariants = exercise.variants.flatMap((variant, i) =>
    (["phase", "arcs"] as const)
      .filter((key) => variant[key] === undefined)
      .map((key) => `/variants/${i}/${key}`),
  );
  const contraction = exercise.variants.flatMap((variant, i) =>
    ["contraction", "laterality"]
      .filter((key) => variant.settings[key] === undefined)
      .map((key) => `/variants/${i}/settings/${key}`),
  );
  return [...own, ...ofVariants, ...contraction].map((path) => ({ path, problem: "is missing" }));
}

function repeatedIds({ variants }: Exercise): FieldProblem[] {
  return variants.flatMap(({ id }, i) =>
    variants.findIndex((other) => other.id === id) < i
      ? [{ path: `/variants/${i}/id`, problem: `${id} stands twice` }]
      : [],
  );
}

function activationProblems({ activation = [], variants }: Exercise): FieldProblem[] {
  const known = variants.map((variant) => variant.id);
  return activation.flatMap(({ variantId }, i) =>
    variantId === undefined || known.includes(variantId)
      ? []
      : [{ path: `/activation/${i}/variantId`, problem: "names a variant that the exercise does not have" }],
  );
}

function variantProblems(variant: Variant, path: string): FieldProblem[] {
  const settings = Object.entries(variant.settings).flatMap(([name, value]) => {
    const knob = findKnob(name);
    if (!knob) return [{ path: `${path}/settings/${name}`, problem: "is not a knob" }];
    return knob.accepts(value)
      ? []
      : [{ path: `${path}/settings/${name}`, problem: `cannot stand at ${value}` }];
  });
  const turns = variant.turns.flatMap((turn, t) => turnProblems(turn, variant, `${path}/turns/${t}`));
  const kit = variant.kit.flatMap((piece, k) =>
    kitByCode(piece) ? [] : [{ path: `${path}/kit/${k}`, problem: `${piece} is not a piece of kit` }],
  );
  const arcs = Object.entries(variant.arcs ?? {}).flatMap(([joint, arc]) =>
    arc[0] > arc[1]
      ? [{ path: `${path}/arcs/${joint}`, problem: "runs from the bent to the straight end" }]
      : [],
  );
  return [...settings, ...turns, ...kit, ...arcs, ...doseProblems(variant.dose, variant, `${path}/dose`)];
}

function turnProblems(turn: Turn, variant: Variant, path: string): FieldProblem[] {
  const knob = findKnob(turn.knob);
  if (!knob) return [{ path: `${path}/knob`, problem: `${turn.knob} is not a knob` }];
  if (!("ladder" in turn)) {
    const known = turn.kit === undefined || (kitByCode(turn.kit)?.shelfKg?.length ?? 0) > 0;
    return known ? [] : [{ path: `${path}/kit`, problem: `${turn.kit} is not a piece of kit with loads` }];
  }
  const foreign = turn.ladder.find((value) => !knob.accepts(value));
  if (foreign !== undefined)
    return [{ path: `${path}/ladder`, problem: `${turn.knob} cannot stand at ${foreign}` }];
  const ranks = turn.ladder.map(knob.rank);
  if (!ranks.every((rank, i) => i === 0 || rank > (ranks[i - 1] ?? -Infinity)))
    return [{ path: `${path}/ladder`, problem: "does not run from easy to hard" }];
  const stands = knob.read(firstPrescription(variant));
  return stands !== undefined && turn.ladder.includes(stands)
    ? []
    : [
        {
          path: `${path}/ladder`,
          problem: `does not hold where the variant begins (${stands ?? "nowhere"})`,
        },
      ];
}

function stepProblems(previous: Variant, variant: Variant, path: string): FieldProblem[] {
  try {
    const knob = knobByName(differingSetting(previous, variant));
    const [from, to] = [previous, variant].map((v) => knob.read(firstPrescription(v)));
    if (from === undefined || to === undefined)
      return [{ path: `${path}/settings/${knob.name}`, problem: "must stand in both neighbours" }];
    return knob.rank(to) > knob.rank(from)
      ? []
      : [
          {
            path: `${path}/settings/${knob.name}`,
            problem: `turns ${knob.name} from ${from} to ${to}, which is easier`,
          },
        ];
  } catch (error) {
    return [{ path, problem: (error as RangeError).message }];
  }
}
