import type { GateInput } from "./gate-input";
import type { Criterion, CriterionResult } from "./gate";
import { chairStand, chairStandCutoff } from "./criterion-chair-stand";
import { change } from "./criterion-change";
import { composite } from "./criterion-composite";
import { difference } from "./criterion-difference";
import type { Evaluator } from "./criterion-finding";
import { ofReference } from "./criterion-of-reference";
import { ratio } from "./criterion-ratio";
import { symmetry } from "./criterion-symmetry";
import { value } from "./criterion-value";
import { withinRule } from "./criterion-within-rule";

/** How each kind of criterion is read from the record. */
export const criterionKinds: { readonly [K in Criterion["kind"]]: Evaluator<K> } = {
  value,
  symmetry,
  ratio,
  "of-reference": ofReference,
  "within-rule": withinRule,
  difference,
  change,
  "reach-composite": composite,
  "chair-stand": chairStand,
};

/** The threshold a criterion's value is held against, for display and print. */
export function thresholdOf(
  criterion: Criterion,
  { person }: Pick<GateInput, "person">,
): Pick<CriterionResult, "comparison" | "threshold"> {
  if (criterion.kind === "within-rule") return { comparison: ">=", threshold: criterion.closedDays };
  if (criterion.kind === "chair-stand") return { comparison: ">=", threshold: chairStandCutoff(person) ?? 0 };
  return { comparison: criterion.comparison, threshold: criterion.threshold };
}
