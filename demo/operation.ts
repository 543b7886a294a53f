import { groinPathway } from "~/catalogue/pathways/groin";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { codesOfOperation, proceduresOf } from "~/catalogue/procedures/all";
import type { CaseFile } from "~/core/case/case-file";
import { operationLimits } from "~/core/event/operation-limits";
import type { DemoProfile } from "./simulate";

/** The operation of somebody who had one, with what it limits. */
export function operationOf(
  { surgery, pathway }: DemoProfile,
  date: (daysAgo: number) => string,
  at: (daysAgo: number, time: string) => string,
  id: (...name: (string | number)[]) => string,
): NonNullable<CaseFile["events"]> {
  const [name] = pathwayByCode(pathway ?? groinPathway.code).procedures ?? [];
  if (!surgery || name === undefined) return [];
  const codes = codesOfOperation(name);
  const [day, { graft }] = [date(surgery.daysAgo), surgery];
  return [
    {
      id: id("operation"),
      at: at(surgery.daysAgo, "07:00"),
      kind: "operation",
      on: day,
      procedures: [...codes],
      ...(graft === undefined ? {} : { graft }),
      limits: operationLimits(proceduresOf(codes), { on: day, graft }),
      reason: "From the surgeon's letter",
    },
  ];
}
