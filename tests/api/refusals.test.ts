import { beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { AuditLine } from "~/contract/trust";
import { sayAct } from "~/messages/say-act";
import { at, atClinic, begin } from "~tests/harness/at-clinic";
import { signedIn, type Client } from "~tests/harness/client";

/** Who was refused what stands in the clinic's log. */
const clinic = atClinic({ own: true });
let lead: Client;
beforeAll(async () => {
  lead = await signedIn(clinic.servers.urls[0] as string, "lead");
});
const latest = async (action: string) =>
  ((await lead.get("/api/audit")).body.lines as AuditLine[]).filter((line) => line.action === action);

it("what a role may not, by whom, and in words", async () => {
  const id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"]);
  const refusal = await clinic.assistant.post(at(id, "stage"), { id: uuid() });
  const tried = await clinic.assistant.get("/api/audit");
  expect([refusal.status, tried.status]).toContain(403);
  const lines = await latest("refused-role");
  expect(lines.map(({ by, kind }) => [by, kind])).toContainEqual(["Piet Almgren", "readAudit"]);
  expect(sayAct("refused-role")).toBe("tried what their role may not");
});

it("a record that the clinic does not have; what is no id at all is noted too, without it", async () => {
  expect((await clinic.client.get(`/api/episodes/${uuid()}/record`)).status).toBe(404);
  expect((await clinic.client.get("/api/episodes/nobody/record")).status).toBe(404);
  const kinds = (await latest("refused-unknown")).map(({ by, kind }) => [by, kind]);
  expect(kinds).toEqual([
    ["Jorun Vask", "readRecord"],
    ["Jorun Vask", "readRecord"],
  ]);
});

it("what is allowed, and what is merely wrong, is no refusal", async () => {
  const before = (await latest("refused-role")).length + (await latest("refused-unknown")).length;
  const id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"]);
  expect((await clinic.client.get(at(id, "record"))).status).toBe(200);
  expect((await clinic.client.post(at(id, "reports"), { id: uuid() })).status).toBe(422);
  const after = (await latest("refused-role")).length + (await latest("refused-unknown")).length;
  expect(after).toBe(before);
});

it("a parameter that is said twice is refused: which one was meant nobody knows", async () => {
  const reply = await lead.get("/api/clinic/keeping?years=8&years=1");
  expect(reply.status).toBe(422);
  expect(reply.body.problems).toEqual([{ path: "/years", problem: "is said twice" }]);
});
