import { Secret, TOTP } from "otpauth";
import { beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { usualHabits } from "~/contract/habits";
import { demoClinic, demoPassword } from "~demo/clinic";
import { atClinic, paths } from "~tests/harness/at-clinic";
import { signedIn, type Client } from "~tests/harness/client";
import { beginning } from "../../tools/machine/template.mjs";
import { fencer, squeezeSession } from "~tests/harness/story";

/** A clinic that asks everybody for a second factor (OWASP ASVS 5 6.3.3). */
const clinic = atClinic({ own: true });
let lead: Client;
beforeAll(async () => {
  lead = await signedIn(clinic.servers.urls[0] as string, "lead");
});

const demand = (demandsFactor: boolean) =>
  lead.post("/api/clinic", {
    id: uuid(),
    name: demoClinic.name,
    zone: demoClinic.zone,
    habits: { ...usualHabits, demandsFactor },
  });
async function setUp(client: Client): Promise<void> {
  const { secret } = (await client.post("/api/account/second-factor", { password: demoPassword })).body;
  const app = new TOTP({ secret: Secret.fromBase32(secret) });
  const code = app.generate({ timestamp: Date.parse(beginning) });
  expect((await client.post("/api/account/second-factor-on", { code })).status).toBe(200);
}
const caseload = async (client: Client) => {
  const { status, body } = await client.get("/api/caseload");
  return status === 200 ? "open" : body.type;
};

it("is demanded by a lead who has one, and shuts nobody out for good", async () => {
  expect(paths(await demand(true))).toEqual(["/habits/demandsFactor"]);
  await setUp(lead);
  expect((await demand(true)).body.clinic.habits.demandsFactor).toBe(true);
  expect(await caseload(lead)).toBe("open");
});

it("until it is set up one's own account alone is open, also to a session from before", async () => {
  const { client } = clinic;
  expect(await caseload(client)).toBe("/problems/second-factor-needed");
  const session = squeezeSession("fencer");
  expect((await client.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(403);
  expect((await client.post("/api/calc/harder", {})).body.type).toBe("/problems/second-factor-needed");
  for (const page of ["/", `/episodes/${fencer}`, "/clinic/log", "/library"]) {
    const { status, headers } = await client.get(page);
    expect([page, status, headers.get("location")]).toEqual([page, 303, "/account"]);
  }
  expect((await client.get("/account")).body).toContain("until then nothing else opens for you");
  const { entries } = (await lead.get(`/api/episodes/${fencer}/record`)).body;
  const kept = entries.map((entry: { session?: { id: string } }) => entry.session?.id);
  expect(kept).not.toContain(session.id);
  await setUp(client);
  expect(await caseload(client)).toBe("open");
  expect((await client.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(201);
  expect((await client.post("/api/account/second-factor-off", { password: demoPassword })).status).toBe(200);
  expect(await caseload(client)).toBe("/problems/second-factor-needed");
});

it("demanded no more, everything is open again", async () => {
  expect((await demand(false)).body.clinic.habits.demandsFactor).toBe(false);
  expect(await caseload(clinic.assistant)).toBe("open");
});
