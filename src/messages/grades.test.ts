import { expect, it } from "vitest";
import { gateExample } from "~/core/calculation/examples";
import { startingMeasures } from "~/catalogue/measures/all";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { sayAsked, sayFound } from "./say-criterion";
import { evaluateGate } from "~/core/gate/evaluate-gate";

it("a value that is a grade is said by its word: 1+ is no 2+", () => {
  const { gate } = pathwayByCode("meniscus-repair").stages[0] ?? {};
  if (!gate) throw new Error("no gate");
  const result = {
    id: "a",
    measure: "effusion",
    side: "left" as const,
    value: 2,
    takenOn: gateExample.today,
    occasion: "since-injury" as const,
  };
  const input = {
    ...gateExample,
    gate,
    measures: [...startingMeasures],
    results: [result],
    involvedSide: "left" as const,
  };
  const { criteria } = evaluateGate(input);
  const effusion = criteria.find(({ name }) => name.includes("Effusion"));
  const lag = criteria.find(({ name }) => name.includes("lag"));
  if (!effusion || !lag) throw new Error("no criterion");
  expect([sayFound(2, effusion), sayAsked(effusion)]).toEqual(["1+", "≤ trace"]);
  expect(lag.grades).toBeUndefined();
  expect(sayAsked(lag)).toBe("≤ 5°");
});
