import type { CriterionResult } from "~/core/gate/gate";
import { sayQuantity, t } from "./say";

/** What a criterion asks: 'at least' or 'at most' so much; without a norm for this person by age alone. */
export function sayAsked(
  criterion: Pick<CriterionResult, "comparison" | "threshold" | "unit" | "grades">,
): string {
  const { comparison, threshold } = criterion;
  if (comparison === ">=" && threshold === 0) return t("gate.byAge");
  return `${comparison === ">=" ? "≥" : "≤"} ${sayFound(threshold, criterion)}`;
}

/** A value of a criterion: the word of its grade, else the number with its unit. */
export function sayFound(value: number, { unit, grades }: Pick<CriterionResult, "unit" | "grades">): string {
  return grades?.[value] ?? sayQuantity(value, unit);
}
