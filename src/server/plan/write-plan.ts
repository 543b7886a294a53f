import type { PlanWritten } from "~/contract/plan";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { planView } from "./read-plan";

/** Writes something of a plan and answers with the plan as it then stands. */
export async function writePlan(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<PlanWritten> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, write, (loaded) =>
    planView(staff, loaded),
  );
  return { id: fact.body.id, repeated, plan: seen };
}
