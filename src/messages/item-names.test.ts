import { expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription } from "~/core/exercise/exercise";
import { sameSetting } from "~/core/exercise/same-setting";
import { itemNames, type NamedItem } from "./item-names";

const bridge = startingExercises.find(({ id }) => id === "bridge");
const [two, other] = bridge?.variants ?? [];
if (!bridge || !two || !other) throw new Error("the catalogue has a bridge");
const item = (itemId: string, over: Partial<NamedItem> = {}): NamedItem => ({
  itemId,
  exercise: bridge,
  prescription: firstPrescription(two),
  role: "main",
  ...over,
});
const names = (...items: NamedItem[]) => [...itemNames(items).values()];

it("an exercise that stands alone is called by its name", () => {
  expect(names(item("a"))).toEqual([bridge.name]);
});
it("two settings are told apart by variant, knob, leg or role, and by no more", () => {
  expect(names(item("a"), item("b", { prescription: firstPrescription(other) }))).toEqual([
    `${bridge.name}: ${two.name}`,
    `${bridge.name}: ${other.name}`,
  ]);
  expect(names(item("a"), item("b", { role: "primer" }))).toEqual([
    `${bridge.name}: main`,
    `${bridge.name}: primer`,
  ]);
  const [knob = ""] = Object.keys(two.settings);
  const turned = { ...firstPrescription(two), settings: { ...two.settings, [knob]: "isometric" } };
  expect(sameSetting(turned, firstPrescription(two))).toBe(two.settings[knob] === "isometric");
  for (const name of names(item("a"), item("b", { prescription: turned }))) expect(name).toContain(":");
});
it("one setting is the same whatever its dose, and another by variant, knob or leg", () => {
  const first = firstPrescription(two);
  expect(sameSetting(first, { ...first, dose: { ...first.dose, sets: 7 } } as typeof first)).toBe(true);
  expect(sameSetting(first, { ...first, leg: "other" })).toBe(false);
  expect(sameSetting(first, { ...first, variantId: "x" })).toBe(false);
  expect(sameSetting(first, { ...first, settings: {} })).toBe(false);
});
