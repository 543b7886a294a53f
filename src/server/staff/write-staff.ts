import type { Colleague, ColleagueBody, StaffChangeBody, StaffWritten } from "~/contract/staff";
import { roles, type Role } from "~/contract/roles";
import { writeAudit } from "~/server/audit/audit-repository";
import { dropFactor } from "~/server/auth/second-factor-repository";
import { deleteSessionsOf } from "~/server/auth/staff-repository";
import { now } from "~/server/clock";
import type { Connection } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { notFound, refused } from "~/server/http/problem";
import { isKnownTwin } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import type { StaffContext } from "~/server/staff-context";
import {
  findColleagues,
  insertColleague,
  insertStaffChange,
  isAddressTaken,
  setOfColleague,
} from "./colleague-repository";
import { endLinks } from "./link-repository";
import { readStaff } from "./read-staff";

const addressShape = /^\S+@\S+\.\S+$/;

/** Adds a colleague, who cannot sign in until a password was set by a link. */
export function addColleague(lead: StaffContext, body: ColleagueBody): Promise<StaffWritten> {
  const email = body.email.trim().toLowerCase();
  return once(lead, "staff", body, async (db, at) => {
    await refuseAddress(db, email, "/email");
    const { id, role } = body;
    await insertColleague(db, lead.clinicId, { id, email, name: body.name.trim(), role }, at);
    await insertStaffChange(
      db,
      lead,
      { id, staffId: id, kind: "added", before: null, after: role, reason: null },
      at,
    );
  });
}

/** Changes something about a colleague. A clinic keeps a lead who is active; who is deactivated is signed out at once. */
export function changeColleague(lead: StaffContext, body: StaffChangeBody): Promise<StaffWritten> {
  return once(lead, "staff-change", body, async (db, at) => {
    const everybody = await findColleagues(db, lead.clinicId, true);
    const who = everybody.find(({ id }) => id === body.staffId.toLowerCase());
    if (!who) throw notFound();
    const { before, after } = await change(db, lead, who, everybody, body, at);
    const { id, kind, reason } = body;
    await insertStaffChange(db, lead, { id, staffId: who.id, kind, before, after, reason }, at);
  });
}

interface Changed {
  readonly before: string | null;
  readonly after: string | null;
}

async function change(
  db: Connection,
  { clinicId }: StaffContext,
  who: Colleague,
  everybody: readonly Colleague[],
  { kind, value = "" }: StaffChangeBody,
  at: string,
): Promise<Changed> {
  const wanted = value.trim();
  switch (kind) {
    case "name": {
      if (wanted.length < 2) throw wrong("/value", "is too short");
      await setOfColleague(db, clinicId, who.id, "name", wanted);
      return { before: who.name, after: wanted };
    }
    case "email": {
      const email = wanted.toLowerCase();
      if (email !== who.email) await refuseAddress(db, email, "/value");
      await setOfColleague(db, clinicId, who.id, "email", email);
      return { before: who.email, after: email };
    }
    case "role": {
      if (!roles.includes(wanted as Role)) throw wrong("/value", "is not a role");
      if (wanted !== "lead") keepALead(who, everybody);
      await setOfColleague(db, clinicId, who.id, "role", wanted);
      return { before: who.role, after: wanted };
    }
    case "deactivate": {
      if (!who.active) throw wrong("/kind", "is done already");
      keepALead(who, everybody);
      await setOfColleague(db, clinicId, who.id, "active", false);
      await deleteSessionsOf(db, { clinicId, staffId: who.id });
      await endLinks(db, clinicId, who.id, at);
      return { before: "active", after: null };
    }
    case "reactivate": {
      if (who.active) throw wrong("/kind", "is done already");
      await setOfColleague(db, clinicId, who.id, "active", true);
      return { before: null, after: "active" };
    }
    case "second-factor-off": {
      if (!who.secondFactor) throw wrong("/kind", "has nothing to take away");
      await dropFactor(db, { clinicId, staffId: who.id });
      return { before: "on", after: "off" };
    }
  }
}

const wrong = (path: string, problem: string) => refused([{ path, problem }]);

/** @throws ApiProblem 422 when nobody would be left who may set things for the clinic */
function keepALead(who: Colleague, everybody: readonly Colleague[]): void {
  const others = everybody.filter(({ id, role, active }) => id !== who.id && role === "lead" && active);
  if (who.role === "lead" && others.length === 0)
    throw wrong("/staffId", "is the only lead; make somebody else lead first");
}

async function refuseAddress(db: Connection, email: string, path: string): Promise<void> {
  if (!addressShape.test(email)) throw wrong(path, "does not look like an e-mail address");
  if (await isAddressTaken(db, email)) throw wrong(path, "belongs to another account");
}

/** Writes something about colleagues once, however often it is sent. */
function once(
  lead: StaffContext,
  kind: string,
  body: { readonly id: string },
  write: (db: Connection, at: string) => Promise<void>,
): Promise<StaffWritten> {
  const at = now();
  const sent = { id: body.id.toLowerCase(), kind, episodeId: null, body };
  return inTransaction(async (db) => {
    if (await isKnownTwin(db, lead.clinicId, sent))
      return { id: sent.id, repeated: true, staff: await readStaff(lead, db) };
    await write(db, at);
    await keepReceipt(db, lead, sent, at);
    await writeAudit(db, lead, { action: `write-${kind}`, kind: "staff", id: sent.id }, at);
    return { id: sent.id, repeated: false, staff: await readStaff(lead, db) };
  });
}
