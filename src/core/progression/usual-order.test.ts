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

it.each([
  [
    "a primer of balance is a primer",
    [of("single-leg-stance"), of("single-leg-stance", "primer")],
    ["primer", "main"],
  ],
  [
    "balance that may be left out comes after what must be done",
    [of("single-leg-stance", "optional"), of("side-step-up")],
    ["main", "optional"],
  ],
  [
    "springs that may be left out still come while fresh",
    [of("side-step-up"), of("rebounds", "optional")],
    ["optional", "main"],
  ],
  [
    "a spring that is a test comes last",
    [of("rebounds", "test"), of("side-step-up", "optional")],
    ["optional", "test"],
  ],
  [
    "heavy work that may be left out does not come before what must be done",
    [of("leg-press", "optional"), of("side-step-up")],
    ["main", "optional"],
  ],
  [
    "a stretch that may be left out is a stretch, before the rest that may",
    [of("clam", "optional"), of("half-kneeling-hip-stretch", "optional")],
    ["optional", "optional"],
  ],
  [
    "a stretch that is a test comes after what may be left out",
    [of("half-kneeling-hip-stretch", "test"), of("clam", "optional")],
    ["optional", "test"],
  ],
])("%s", (_what, items, roles) => {
  const ordered = usualOrder(items);
  expect(ordered.map(({ role }) => role)).toEqual(roles);
  expect(ordered).toEqual([...items].reverse());
});

it("what takes both legs counts as heavy only where it is hard; hard work of the trunk stays with the trunk", () => {
  const press = of("leg-press");
  const easy = { ...press, id: "easy", exercise: { ...press.exercise, effort: "moderate" as never } };
  expect(usualOrder([of("side-step-up"), easy]).map(({ id }) => id)).toEqual(["side-step-up main", "easy"]);
  const alone = {
    ...press,
    id: "alone",
    prescription: { ...press.prescription, settings: { laterality: "single" } },
  };
  expect(usualOrder([of("side-step-up"), alone]).map(({ id }) => id)).toEqual(["side-step-up main", "alone"]);
  const trunk = { ...press, id: "trunk", exercise: { ...press.exercise, lane: "trunk" as const } };
  expect(usualOrder([trunk, of("side-step-up")]).map(({ id }) => id)).toEqual(["side-step-up main", "trunk"]);
});
