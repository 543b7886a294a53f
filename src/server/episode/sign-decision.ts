import { v7 as uuid } from "uuid";
import type { DecisionBody } from "~/contract/daily";
import type { StairItem, StairView, Written } from "~/contract/episode";
import type { SignedChange } from "~/core/decision/record/decide-input";
import type { Change } from "~/core/progression/change";
import type { StaffContext } from "~/server/staff-context";
import { ApiProblem, refused } from "~/server/http/problem";
import { decisions } from "~/server/facts/decisions";
import { prescriptions } from "~/server/facts/prescriptions";
import { appendFact } from "~/server/facts/sql";
import { stairView } from "./stair-view";
import { writeFact } from "~/server/episode/write-fact";

/** Outcomes that leave nothing to accept: the plan stays as it is without a signature. */
const nothingToAccept = new Set(["hold", "wait"]);

/**
 * Signs a clinician's answer to a proposal: accept, change or refuse. The proposal is computed again from the record
 * while the episode is locked; if it rests on another version than the one seen, nothing is signed and the
 * answer (409) shows what stands now.
 */
export async function signDecision(
  staff: StaffContext,
  episodeId: string,
  body: DecisionBody,
): Promise<Written> {
  const fact = { of: "decisions", body, action: `sign-${body.action}` } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const view = stairView(staff, loaded);
    const item = view.items.find((candidate) => candidate.itemId === body.itemId);
    if (!item) throw refused([{ path: "/itemId", problem: "is not in this patient's plan" }]);
    if (body.expectedVersion !== loaded.head.version) throw stale(view, item);
    const applied = appliedChange(body, item);
    const signedChange = describeChange(body, item, applied, writing.at);
    await appendFact(db, writing, decisions, {
      id: body.id,
      itemId: body.itemId,
      at: writing.at,
      action: body.action,
      reason: body.reason?.trim() ?? null,
      school: view.school,
      engineVersion: item.proposal.engineVersion,
      proposal: item.proposal,
      applied,
      signedChange,
      episodeVersion: loaded.head.version,
    });
    if (applied && "prescription" in applied) {
      await appendFact(db, writing, prescriptions, {
        id: uuid(),
        itemId: body.itemId,
        from: writing.at,
        decisionId: body.id,
        prescription: applied.prescription,
      });
    }
  });
}

function stale(view: StairView, item: StairItem): ApiProblem {
  const { lastDecision, proposal } = item;
  return new ApiProblem(409, "stale", "The record changed while you were looking. Nothing was signed.", {
    changed: { version: view.version, lastDecision, proposal, stair: view },
  });
}

function appliedChange(body: DecisionBody, item: StairItem): Change | null {
  const against = body.action !== "accept";
  if (against && !body.reason) {
    throw refused([{ path: "/reason", problem: "is needed when you decide against the proposal" }]);
  }
  if (body.action === "refuse") return null;
  if (body.action === "accept") {
    if (nothingToAccept.has(item.proposal.outcome)) {
      throw refused([{ path: "/action", problem: "is not open: the proposal asks for no change" }]);
    }
    return item.proposal.change ?? null;
  }
  const wanted = body.alternative;
  const found = item.alternatives.find(
    (a) => a.direction === wanted?.direction && a.kind === wanted.kind && a.knob === wanted.knob,
  );
  if (!found) throw refused([{ path: "/alternative", problem: "is not a change that this exercise has" }]);
  if (item.proposal.outcome === "stop" && found.direction === "harder") {
    throw refused([
      { path: "/alternative", problem: "is not open: the item is stopped until it is cleared" },
    ]);
  }
  if (found.blockedBy !== null)
    throw refused([{ path: "/alternative", problem: `is blocked: ${found.blockedBy}` }]);
  const { kind, knob, from, to, prescription } = found;
  return { kind, knob, from, to, prescription };
}

function describeChange(
  body: DecisionBody,
  item: StairItem,
  applied: Change | null,
  at: string,
): SignedChange | null {
  if (!applied) return null;
  const { outcome, rule } = item.proposal;
  if (!("knob" in applied)) return { at, direction: "other" };
  const direction = body.alternative?.direction ?? (outcome === "ease" ? "easier" : "harder");
  const cause = outcome === "ease" && body.action === "accept" ? rule.replace(/^ease-/, "") : undefined;
  return {
    at,
    direction,
    knob: applied.knob,
    before: item.prescription,
    ...(cause === undefined ? {} : { cause: cause as NonNullable<SignedChange["cause"]> }),
  };
}
