import type { Restriction } from "~/core/limit/restriction";
import { addDays } from "~/core/schedule/local-day";

/** A limit that a procedure brings along, counted from the day of the operation. */
export interface ProcedureLimit {
  /** Unique within the procedure; what a surgeon's sheet names when it says another end. */
  readonly id: string;
  /** Last day on which it holds, day 0 the day of the operation: for six weeks is day 41. Without one it holds until the surgeon lifts it. */
  readonly untilDay?: number;
  /** First day; the day of the operation unless it says another. */
  readonly fromDay?: number;
  /** For these grafts alone. */
  readonly grafts?: readonly string[];
  /** Only while the sheet says nothing of weight. */
  readonly unlessSheetSaysWeight?: boolean;
  readonly limit: Restriction;
}

/** What is done in an operation, and what that brings along. */
export interface Procedure {
  readonly code: string;
  readonly name: string;
  readonly region: "knee" | "hip" | "thigh" | "lower-leg";
  readonly grafts?: readonly string[];
  /** The sheet's word on weight is needed: without it somebody asks the surgeon. */
  readonly asksWeight?: boolean;
  readonly limits: readonly ProcedureLimit[];
}

/** An end that the surgeon's sheet sets for a procedure's limit: a last day, or null for none. */
export interface SheetEnd {
  readonly procedure: string;
  readonly limit: string;
  readonly until: string | null;
}

export interface Operation {
  readonly on: string;
  readonly graft?: string | undefined;
  /** The surgeon's own lines. */
  readonly sheet?: readonly Restriction[];
  readonly ends?: readonly SheetEnd[];
  /** Weight is written elsewhere than among the lines given here. */
  readonly weightIsWritten?: boolean;
}

const saysWeight: ReadonlySet<Restriction["kind"]> = new Set(["weight", "legs", "bearing"]);

/** Whether any of some limits says what the leg may carry. */
export const saysOfWeight = (limits: readonly Restriction[]): boolean =>
  limits.some(({ kind }) => saysWeight.has(kind));

/**
 * Everything that an operation limits: what each of its procedures brings along, all together, and the surgeon's lines. Where the
 * sheet sets another end the limit is the surgeon's from then on. The same limit of two procedures stands once,
 * with the later end.
 *
 * @param procedures the definitions of what was done
 * @returns limits with their days; origin `procedure` or `surgeon`
 */
export function operationLimits(
  procedures: readonly Procedure[],
  { on, graft, sheet = [], ends = [], weightIsWritten: elsewhere = false }: Operation,
): Restriction[] {
  const weightIsWritten = elsewhere || saysOfWeight(sheet);
  const brought = procedures.flatMap(({ code, limits }) =>
    limits
      .filter(({ grafts }) => grafts === undefined || (graft !== undefined && grafts.includes(graft)))
      .filter(({ unlessSheetSaysWeight }) => !(unlessSheetSaysWeight && weightIsWritten))
      .map(({ id, fromDay = 0, untilDay, limit }): Restriction => {
        const end = ends.find((entry) => entry.procedure === code && entry.limit === id);
        const usual = untilDay === undefined ? undefined : addDays(on, untilDay);
        const until = end ? (end.until ?? undefined) : usual;
        return {
          ...limit,
          origin: end ? "surgeon" : "procedure",
          from: addDays(on, fromDay),
          ...(until === undefined ? {} : { until }),
        };
      }),
  );
  return [...merged(brought), ...sheet.map((limit): Restriction => ({ ...limit, origin: "surgeon" }))];
}

/** Equal limits become one that ends with the last of them. */
function merged(limits: readonly Restriction[]): Restriction[] {
  const bySame = new Map<string, Restriction>();
  for (const limit of limits) {
    const { until, ...rest } = limit;
    const key = JSON.stringify({ ...rest, says: "" });
    const before = bySame.get(key);
    const isLater = before !== undefined && (until === undefined || (before.until ?? "9999") < until);
    if (before === undefined || isLater) bySame.set(key, limit);
  }
  return [...bySame.values()];
}
