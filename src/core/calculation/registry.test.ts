import { describe, expect, it } from "vitest";
import { check } from "~/core/schema/check";
import { answerOf, runCalculation } from "./calculation";
import { tools } from "~/server/solve/tools";
import { allCalculations as calculations, findCalculation } from "~/catalogue/calculations/all";
import { caseExample, decideExample, gateExample } from "./examples";

describe.each(calculations.map((calculation) => [calculation.name, calculation] as const))(
  "%s",
  (name, calculation) => {
    it("is found by its name, which no other has", () => {
      expect(findCalculation(name)).toBe(calculation);
      expect(calculations.filter((other) => other.name === name)).toHaveLength(1);
    });

    it("runs its own example, and the result fits its output schema", async () => {
      const result = await answerOf(calculation, calculation.example, tools);
      if (!result.ok) throw new Error(JSON.stringify(result.problems));
      expect(check(calculation.output, result.value)).toMatchObject({ ok: true });
    });

    it("survives the journey as JSON: nothing is NaN, undefined or a date", async () => {
      const result = await answerOf(calculation, calculation.example, tools);
      expect(JSON.parse(JSON.stringify(result))).toEqual(result);
    });

    it.each([null, 7, "text", [], {}, { more: 1 }])("refuses %j", (input) => {
      expect(runCalculation(calculation, input).ok).toBe(false);
    });
  },
);

describe("what a schema cannot say is refused with the field", () => {
  const [item] = caseExample.items;
  const broken: [string, unknown, string][] = [
    ["decide", { ...decideExample, zone: "Europe/Nowhere" }, "/zone"],
    [
      "decide",
      { ...decideExample, prescription: { ...decideExample.prescription, variantId: "x" } },
      "/prescription/variantId",
    ],
    ["gate", { ...gateExample, measures: [] }, "/gate/criteria/0/measure"],
    ["case", { ...caseExample, items: [{ ...item, exerciseId: "x" }] }, "/items/0/exerciseId"],
    ["limb-symmetry", { involved: 0, uninvolved: 5, better: "lower" }, "/involved"],
    ["limb-symmetry", { involved: 5, uninvolved: 0, better: "higher" }, "/uninvolved"],
  ];
  it.each(broken)("%s", (name, input, path) => {
    const calculation = findCalculation(name);
    if (!calculation) throw new Error(`${name} is registered`);
    const result = runCalculation(calculation, input);
    expect(result.ok ? [] : result.problems.map((problem) => problem.path)).toContain(path);
  });
});
