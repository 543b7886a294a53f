import type { CriterionWordBody, GateBody, GateView, GateWritten, PassingBody } from "~/contract/gate";
import { canBeJudged } from "~/core/gate/judged-in-writing";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { ApiProblem, refused } from "~/server/http/problem";
import { criterionWords } from "~/server/facts/criterion-words";
import { passings } from "~/server/facts/passings";
import { appendFact } from "~/server/facts/sql";
import { stageMoves } from "~/server/facts/stage-moves";
import { gateView } from "./read-gate";

/**
 * Signs a move: through an open gate, past a closed one with a reason that is shown for ever, or back to an earlier
 * stage with a reason. The gate is evaluated again while the episode is locked and stored with the move.
 */
export function signGate(staff: StaffContext, episodeId: string, body: GateBody): Promise<GateWritten> {
  const fact: Fact = { of: "stageMoves", body, action: `gate-${body.action}` };
  return writeGate(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const view = gateView(staff, loaded);
    if (body.expectedVersion !== view.version) {
      throw new ApiProblem(409, "stale", "The record changed while you were looking. Nothing was signed.", {
        changed: { gate: view },
      });
    }
    const problems = moveProblems(body, view);
    if (problems.length > 0) throw refused(problems);
    await appendFact(db, writing, stageMoves, {
      id: body.id,
      at: writing.at,
      stage: body.stage,
      reason: body.reason?.trim() ?? "Every required criterion met",
      kind: body.action,
      ...(view.gate ? { gate: view.gate } : {}),
    });
  });
}

/** Judges in writing a criterion of the present gate that no number can decide. */
export function judgeCriterion(
  staff: StaffContext,
  episodeId: string,
  body: CriterionWordBody,
): Promise<GateWritten> {
  const fact: Fact = { of: "criterionWords", body, action: "judge-criterion" };
  return writeGate(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const { gate, stage } = gateView(staff, loaded);
    const criterion = gate?.criteria.find(({ id }) => id === body.criterion);
    if (!criterion) throw refused([{ path: "/criterion", problem: "is not asked by this gate" }]);
    if (!canBeJudged(criterion))
      throw refused([{ path: "/criterion", problem: "is decided by what is measured" }]);
    await appendFact(db, writing, criterionWords, {
      ...body,
      stage,
      reason: body.reason.trim(),
      at: writing.at,
    });
  });
}

/** Sets how this patient's gates are passed, with the reason. */
export function setPassing(staff: StaffContext, episodeId: string, body: PassingBody): Promise<GateWritten> {
  const fact: Fact = { of: "passings", body, action: "set-passing" };
  return writeGate(staff, episodeId, fact, ({ db, writing }) =>
    appendFact(db, writing, passings, { ...body, reason: body.reason.trim(), at: writing.at }),
  );
}

async function writeGate(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<GateWritten> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, write, (loaded) =>
    gateView(staff, loaded),
  );
  return { id: fact.body.id, repeated, gate: seen };
}

function moveProblems(
  { action, stage, reason }: GateBody,
  { stages, stage: present, gate, surgeryOn, beforeSurgery }: GateView,
): FieldProblem[] {
  const leavesBeforeSurgery = action !== "back" && beforeSurgery && surgeryOn === null;
  const at = stages.findIndex(({ code }) => code === present);
  const to = stages.findIndex(({ code }) => code === stage);
  if (to < 0) return [{ path: "/stage", problem: "is not a stage of this pathway" }];
  const against = action !== "pass";
  if (against && !reason) return [{ path: "/reason", problem: "is needed for this move" }];
  if (action === "back") return to < at ? [] : [{ path: "/stage", problem: "is not an earlier stage" }];
  if (gate?.rule === "gate-stop")
    return [
      { path: "/action", problem: "is not open: a stop signal is open. It is cleared in writing first" },
    ];
  if (leavesBeforeSurgery)
    return [
      { path: "/stage", problem: "comes after the operation: sign the operation with its procedures first" },
    ];
  if (to !== at + 1) return [{ path: "/stage", problem: "is not the next stage" }];
  if (action === "pass" && gate?.outcome !== "open")
    return [{ path: "/action", problem: "is not open: the gate is closed. Overriding it needs a reason" }];
  if (action === "override" && gate?.outcome === "open")
    return [{ path: "/action", problem: "is not needed: the gate is open" }];
  return [];
}
