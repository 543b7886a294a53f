import { conditionByCode, conditionsOfIntake, isGrowing } from "~/catalogue/conditions/all";
import { conditionCodes, type CaseCondition, type ConditionCode } from "~/core/condition/condition";

/** A condition that began or ended at an instant, by an intake or by a signature. */
export interface ConditionChange {
  readonly code: ConditionCode;
  readonly present: boolean;
  readonly at: string;
}

type Answers = Parameters<typeof conditionsOfIntake>[0] & { readonly at: string };

/** What intakes of the person answered, as changes. */
export const changesOfIntakes = (answers: readonly Answers[]): ConditionChange[] =>
  answers.flatMap((intake) =>
    conditionsOfIntake(intake).map((code) => ({ code, present: true, at: intake.at })),
  );

/** The conditions of a person over time, from everything that began or ended one; words and limits as the product knows them now. */
export function conditionsOver(changes: readonly ConditionChange[]): CaseCondition[] {
  const inOrder = [...changes].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const spells: CaseCondition[] = [];
  for (const { code, present, at } of inOrder) {
    if (!conditionCodes.includes(code)) continue;
    const open = spells.findIndex((spell) => spell.code === code && spell.endedAt === undefined);
    const found = spells[open];
    if (present && !found) spells.push(conditionFrom(code, at));
    if (!present && found) spells[open] = { ...found, endedAt: at };
  }
  return spells;
}

/** A condition that follows from the age: a skeleton that grows. */
export function conditionsOfAge(ageYears: number, region: string | undefined, at: string): CaseCondition[] {
  return isGrowing(ageYears, region) ? [conditionFrom("growing", at)] : [];
}

function conditionFrom(code: ConditionCode, at: string): CaseCondition {
  const { short, says, limits, stills } = conditionByCode(code);
  return { code, at, short, says, limits: [...limits], ...(stills ? { stills } : {}) };
}
