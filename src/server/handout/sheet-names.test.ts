import { expect, it } from "vitest";
import { speaker } from "~/messages/speaker";
import { sheetNames } from "~/messages/sheet-names";

const items = ["Heel slide", "Bridge: both feet", "Clam", "Bridge: one foot", "Our own thing"].map(
  (name) => ({ name }),
);

it("names exercises as the clinic reads them; in another language those of several settings by a number", () => {
  expect(sheetNames(items, speaker("en"))).toEqual(items.map(({ name }) => name));
  expect(sheetNames(items, speaker("de"))).toEqual([
    "Ferse gleiten lassen",
    "Becken heben 1",
    "Muschel",
    "Becken heben 2",
    "Our own thing",
  ]);
});
