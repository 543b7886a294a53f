import { expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription } from "~/core/exercise/exercise";
import type { ItemRole } from "~/core/exercise/role";
import { usualOrder, type OrderedItem } from "./usual-order";

function of(exerciseId: string, role: ItemRole = "main"): OrderedItem & { readonly id: string } {
  const exercise = startingExercises.find(({ id }) => id === exerciseId);
  const [variant] = exercise?.variants ?? [];
  if (!exercise || !variant) throw new Error(`${exerciseId} is not in the catalogue`);
  return { id: `${exerciseId} ${role}`, role, exercise, prescription: firstPrescription(variant) };
}

it("primers, balance, springs, heavy, single, trunk, stretches; what may be left out; tests last", () => {
  const mixed = [
    of("side-step-up", "test"),
    of("half-kneeling-hip-stretch"),
    of("front-plank"),
    of("clam", "optional"),
    of("side-step-up"),
    of("leg-press"),
    of("rebounds"),
    of("single-leg-stance"),
    of("bridge", "primer"),
  ];
  expect(usualOrder(mixed).map(({ id }) => id)).toEqual([
    "bridge primer",
    "single-leg-stance main",
    "rebounds main",
    "leg-press main",
    "side-step-up main",
    "front-plank main",
    "half-kneeling-hip-stretch main",
    "clam optional",
    "side-step-up test",
  ]);
});
it("within a group the order stays", () => {
  const two = [of("side-step-up"), of("clam")];
  expect(usualOrder(two)).toEqual(two);
  expect(usualOrder([...two].reverse())).toEqual([...two].reverse());
});
