import type { ArrangementBody, PlanWritten } from "~/contract/plan";
import { arrangedItems } from "~/core/case/arranged";
import { arrangementProblems } from "~/core/case/arrangement";
import type { CaseFile } from "~/core/case/case-file";
import { prescriptionInForce } from "~/core/case/in-force";
import { sameSetting } from "~/core/exercise/same-setting";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import { arrangements } from "~/server/facts/arrangements";
import { appendFact } from "~/server/facts/sql";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { writePlan } from "./write-plan";

/** Signs the order of the plan, what each exercise is in it for, and its circuits. */
export function arrangePlan(
  staff: StaffContext,
  episodeId: string,
  body: ArrangementBody,
): Promise<PlanWritten> {
  const fact = { of: "arrangements", body, action: "arrange-plan" } as const;
  return writePlan(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const { id, entries, circuits } = body;
    const present = arrangedItems(file).map(({ item }) => item.id);
    const problems = [...arrangementProblems({ entries, circuits }, present), ...twinProblems(file, body)];
    if (problems.length > 0) throw refused(problems);
    await appendFact(db, writing, arrangements, { id, at: writing.at, entries, circuits });
  });
}

/** One setting of an exercise that would stand in the plan twice for the same. */
function twinProblems(file: CaseFile, { entries }: ArrangementBody): FieldProblem[] {
  const known = entries.flatMap(({ itemId, role }, n) => {
    const item = file.items.find(({ id }) => id === itemId);
    return item ? [{ n, role, item, prescription: prescriptionInForce(item, file.asOf).prescription }] : [];
  });
  return known.flatMap((entry) =>
    problemIf(
      known.some(
        (other) =>
          other.n < entry.n &&
          other.role === entry.role &&
          other.item.exerciseId === entry.item.exerciseId &&
          sameSetting(other.prescription, entry.prescription),
      ),
      `/entries/${entry.n}/role`,
      "stands in the plan with this setting already",
    ),
  );
}
