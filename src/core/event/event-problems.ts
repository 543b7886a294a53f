import { restrictionProblems } from "~/core/limit/restriction-problems";
import type { Restriction } from "~/core/limit/restriction";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import type { CaseEvent, EventKind } from "./event";
import type { Procedure, SheetEnd } from "./operation-limits";

/** An event as it is sent. */
export interface SentEvent {
  readonly kind: EventKind;
  readonly on: string;
  readonly procedures?: readonly string[] | undefined;
  readonly graft?: string | undefined;
  readonly sheet?: readonly Restriction[] | undefined;
  readonly ends?: readonly SheetEnd[] | undefined;
  readonly supersedes?: string | undefined;
  readonly withdrawn?: boolean | undefined;
}

export interface KnownOfPerson {
  readonly bornOn: string;
  readonly onsetOn: string;
  readonly today: string;
  readonly standing: readonly CaseEvent[];
  readonly procedures: readonly Procedure[];
}

/**
 * What is wrong with an event, by field: a day before birth, before the injury it follows, or in the future as if it had
 * happened; an operation without anything done, or with what nobody knows; a graft without a reconstruction; a correction of
 * nothing; limits that cannot be.
 */
export function eventProblems(sent: SentEvent, known: KnownOfPerson): FieldProblem[] {
  const { kind, on, supersedes } = sent;
  const corrected = known.standing.find(({ id }) => id === supersedes);
  return [
    ...problemIf(on <= known.bornOn, "/on", "lies before this person was born"),
    ...problemIf(on > known.today, "/on", "lies in the future; a planned date is not an event"),
    ...problemIf(
      kind !== "injury" && on > known.bornOn && on < known.onsetOn,
      "/on",
      `lies before the injury (${known.onsetOn})`,
    ),
    ...problemIf(supersedes !== undefined && !corrected, "/supersedes", "is not an event that stands"),
    ...problemIf(
      corrected !== undefined && corrected.kind !== kind,
      "/kind",
      "is another kind than what it corrects",
    ),
    ...problemIf(sent.withdrawn === true && supersedes === undefined, "/supersedes", "is missing"),
    ...(kind === "operation" ? operationProblems(sent, known) : besidesOperation(sent)),
  ];
}

function operationProblems(
  { procedures = [], graft, sheet = [], ends = [], withdrawn }: SentEvent,
  known: KnownOfPerson,
): FieldProblem[] {
  if (withdrawn) return [];
  const done = known.procedures.filter(({ code }) => procedures.includes(code));
  const grafts = done.flatMap((procedure) => procedure.grafts ?? []);
  return [
    ...problemIf(procedures.length === 0, "/procedures", "is missing: what was done"),
    ...procedures.flatMap((code, n) =>
      problemIf(
        !done.some((procedure) => procedure.code === code),
        `/procedures/${n}`,
        "is not a known procedure",
      ),
    ),
    ...problemIf(graft !== undefined && grafts.length === 0, "/graft", "does not go with what was done"),
    ...problemIf(graft === undefined && grafts.length > 0, "/graft", "is missing: the weeks depend on it"),
    ...problemIf(
      graft !== undefined && grafts.length > 0 && !grafts.includes(graft),
      "/graft",
      `must be one of: ${[...new Set(grafts)].join(", ")}`,
    ),
    ...restrictionProblems(sheet, "/sheet"),
    ...ends.flatMap(({ procedure, limit }, n) =>
      problemIf(
        !done.some(({ code, limits }) => code === procedure && limits.some(({ id }) => id === limit)),
        `/ends/${n}`,
        "is not a limit of what was done",
      ),
    ),
  ];
}

function besidesOperation({ procedures, graft, sheet, ends }: SentEvent): FieldProblem[] {
  return Object.entries({ procedures, graft, sheet, ends }).flatMap(([key, value]) =>
    problemIf(value !== undefined, `/${key}`, "goes with an operation only"),
  );
}
