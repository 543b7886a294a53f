import { signingRoles } from "~/contract/roles";
import type { HandoverBody, Identity, IdentityBody, PersonWritten, TurnBody } from "~/contract/people";
import { episodeState, mayTurn, type EpisodeTurn } from "~/core/episode/episode-turn";
import type { FieldProblem } from "~/core/schema/field-problem";
import { localDay } from "~/core/schedule/local-day";
import { t } from "~/messages/say";
import { setHolder, setStanding } from "~/server/case/episode-repository";
import { setIdentity } from "~/server/case/person-repository";
import type { LoadedCase } from "~/server/case/make-case";
import { patientFrame } from "~/server/episode/patient-frame";
import { findColleagues } from "~/server/staff/colleague-repository";
import { handovers } from "~/server/facts/handovers";
import { identityChanges } from "~/server/facts/identity-changes";
import { appendFact } from "~/server/facts/sql";
import { turns } from "~/server/facts/turns";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { identityOf } from "./person-view";

/** Signs a discharge, a pause, or the end of either; what was signed before stays. */
export function turnEpisode(staff: StaffContext, episodeId: string, body: TurnBody): Promise<PersonWritten> {
  const fact: Fact = { of: "turns", body, action: `sign-${body.kind}` };
  return writePerson(staff, episodeId, fact, async ({ db, writing, loaded: { head } }) => {
    const { id, kind, reason, summary } = body;
    const state = episodeState(head);
    if (!mayTurn(state, kind)) throw refused([{ path: "/kind", problem: t(`episode.already.${state}`) }]);
    if (summary !== undefined && kind !== "discharge")
      throw refused([{ path: "/summary", problem: "is written on a discharge only" }]);
    await appendFact(db, writing, turns, {
      id,
      at: writing.at,
      kind,
      reason: reason.trim(),
      ...(summary === undefined ? {} : { summary: summary.trim() }),
    });
    await setStanding(db, staff.clinicId, episodeId, standingAfter(kind, writing.at));
  });
}

const standingAfter = (kind: EpisodeTurn, at: string) => ({
  endedAt: kind === "discharge" ? at : null,
  pausedAt: kind === "pause" ? at : null,
});

/** Puts right who somebody is, for all their episodes. */
export function changeIdentity(
  staff: StaffContext,
  episodeId: string,
  body: IdentityBody,
): Promise<PersonWritten> {
  const fact: Fact = { of: "identityChanges", body, action: "change-identity" };
  return writePerson(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const before = identityOf(loaded.head);
    const after = trimmed(body.identity);
    const problems = identityProblems(before, after, loaded, writing.at);
    if (problems.length > 0) throw refused(problems);
    await appendFact(db, writing, identityChanges, {
      id: body.id,
      at: writing.at,
      before,
      after,
      reason: body.reason.trim(),
    });
    await setIdentity(db, staff.clinicId, loaded.head.personId, after);
  });
}

/** Hands an episode to a colleague who may sign, and is not the one who has it. */
export function handOver(staff: StaffContext, episodeId: string, body: HandoverBody): Promise<PersonWritten> {
  const fact: Fact = { of: "handovers", body, action: "hand-over" };
  return writePerson(staff, episodeId, fact, async ({ db, writing, loaded: { head } }) => {
    const toStaff = body.toStaff.toLowerCase();
    const everybody = await findColleagues(db, staff.clinicId);
    const to = everybody.find(
      ({ id, active, role }) => id === toStaff && active && signingRoles.includes(role),
    );
    if (!to) throw refused([{ path: "/toStaff", problem: "is nobody here who may sign" }]);
    if (head.heldBy?.id === toStaff) throw refused([{ path: "/toStaff", problem: "has it already" }]);
    await appendFact(db, writing, handovers, {
      id: body.id,
      at: writing.at,
      fromStaff: head.heldBy?.id ?? null,
      toStaff,
      reason: body.reason.trim(),
    });
    await setHolder(db, staff.clinicId, episodeId, toStaff);
  });
}

const trimmed = ({ givenName, familyName, activity, contact, ...rest }: Identity): Identity => ({
  ...rest,
  givenName: givenName.trim(),
  familyName: familyName.trim(),
  activity: activity.trim(),
  contact: contact === null ? null : contact.trim(),
});

function identityProblems(
  before: Identity,
  after: Identity,
  { file }: LoadedCase,
  at: string,
): FieldProblem[] {
  const names = Object.keys(before) as (keyof Identity)[];
  if (names.every((name) => before[name] === after[name]))
    return [{ path: "/identity", problem: "is as it was" }];
  if (after.bornOn >= localDay(at, file.zone))
    return [{ path: "/identity/bornOn", problem: "lies in the future" }];
  if (after.bornOn >= file.episode.onsetOn)
    return [{ path: "/identity/bornOn", problem: "lies after the injury" }];
  return [];
}

export async function writePerson(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<PersonWritten> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, write, (loaded) =>
    patientFrame(staff, loaded),
  );
  return { id: fact.body.id, repeated, frame: seen };
}
