import type { CaseloadRow } from "~/contract/clinic";
import mysql from "mysql2/promise";
import { Secret, TOTP } from "otpauth";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { Colleague } from "~/contract/staff";
import { demoPassword } from "~demo/clinic";
import { Client, signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";

/** Who works here: added, changed and deactivated by a lead; each with a password, sessions and a second factor of their own. */
let servers: Servers;
let url: string;
let lead: Client;
let now = Date.parse("2026-03-10T09:00:00.000Z");
const good = "four grey mares at noon";

beforeAll(async () => {
  servers = await startServers(2);
  url = servers.urls[0] as string;
  lead = await signedIn(url, "lead");
});
afterAll(() => servers.stop());

const later = (seconds: number) => {
  now += seconds * 1000;
  servers.setClock(new Date(now).toISOString());
};
const colleague = async (email: string) =>
  ((await lead.get("/api/staff")).body.colleagues as Colleague[]).find((one) => one.email === email);
const problems = (reply: { body: { problems?: { path: string; problem: string }[] } }) =>
  reply.body.problems ?? [];
const signIn = async (email: string, password: string, code?: string) => {
  const client = new Client(url);
  return { client, reply: await client.post("/api/sign-in", { email, password, ...(code ? { code } : {}) }) };
};
/** A colleague with a password. */
async function somebody(name: string, role = "clinician") {
  const email = `${name}@tarnstreet.example`;
  const body = { id: uuid(), name: `New ${name}`, email, role };
  expect((await lead.post("/api/staff", body)).status).toBe(201);
  const { token } = (await lead.post("/api/staff/links", { staffId: body.id })).body;
  expect((await new Client(url).post("/api/password", { token, password: good })).body).toEqual({ email });
  return {
    ...body,
    email,
    change: (more: object) =>
      lead.post("/api/staff/changes", { id: uuid(), staffId: body.id, reason: "because", ...more }),
  };
}

describe("a colleague", () => {
  it("is added, sets a password by a link that works once, and signs in", async () => {
    const id = uuid();
    const body = { id, name: "Ilse Tern", email: "Ilse@TarnStreet.example", role: "assistant" };
    const added = await lead.post("/api/staff", body);
    expect(added.status).toBe(201);
    expect(await colleague("ilse@tarnstreet.example")).toMatchObject({ hasPassword: false, active: true });
    expect((await signIn("ilse@tarnstreet.example", "")).reply.status).toBe(422);
    expect((await signIn("ilse@tarnstreet.example", good)).reply.status).toBe(401);
    const first = (await lead.post("/api/staff/links", { staffId: id })).body.token;
    const { token } = (await lead.post("/api/staff/links", { staffId: id })).body;
    const set = (with_: string, password = good) =>
      new Client(url).post("/api/password", { token: with_, password });
    expect((await set(first)).body.type).toBe("/problems/link-dead");
    expect(problems(await set(token, "short"))[0]?.path).toBe("/password");
    expect(problems(await set(token, "password1234"))[0]?.problem).toMatch(/guessed first/);
    expect((await set(token)).status).toBe(200);
    expect((await set(token)).status).toBe(401);
    expect((await signIn("ilse@tarnstreet.example", good)).reply.status).toBe(200);
    expect((await lead.post("/api/staff", body)).body.repeated).toBe(true);
  });
  it("a link is dead after a day, and nothing of it stands in the database in the clear", async () => {
    const { id, email } = await somebody("late");
    const { token } = (await lead.post("/api/staff/links", { staffId: id })).body;
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const [rows] = await db.query<mysql.RowDataPacket[]>("SELECT * FROM password_links");
    const [receipts] = await db.query<mysql.RowDataPacket[]>("SELECT body FROM receipts");
    await db.end();
    expect(JSON.stringify([rows, receipts])).not.toContain(token);
    expect(JSON.stringify(receipts)).not.toContain(good);
    later(24 * 3600 + 1);
    lead = await signedIn(url, "lead");
    expect((await new Client(url).post("/api/password", { token, password: good })).status).toBe(401);
    expect((await signIn(email, good)).reply.status).toBe(200);
  });
  it("who is deactivated is signed out at once, and comes back when reactivated", async () => {
    const { email, change } = await somebody("leaver");
    const { client } = await signIn(email, good);
    expect((await client.get("/api/caseload")).status).toBe(200);
    expect((await change({ kind: "deactivate" })).status).toBe(201);
    expect((await client.at(servers.urls[1] as string).get("/api/caseload")).status).toBe(401);
    expect((await signIn(email, good)).reply.status).toBe(401);
    expect(problems(await change({ kind: "deactivate" }))[0]?.problem).toBe("is done already");
    await change({ kind: "reactivate" });
    expect((await signIn(email, good)).reply.status).toBe(200);
  });
  it("another role holds from the next request on", async () => {
    const { email, change } = await somebody("riser", "assistant");
    const { client } = await signIn(email, good);
    expect((await client.get("/api/staff")).status).toBe(403);
    await change({ kind: "role", value: "lead" });
    expect((await client.get("/api/staff")).status).toBe(200);
    await change({ kind: "role", value: "assistant" });
    expect((await client.get("/api/staff")).status).toBe(403);
  });
  it("name and address are put right, with what they were", async () => {
    const { change } = await somebody("misspelt");
    expect((await change({ kind: "name", value: "Well Spelt" })).status).toBe(201);
    const moved = await change({ kind: "email", value: "well@tarnstreet.example" });
    expect(moved.body.staff.changes[0]).toMatchObject({
      kind: "email",
      before: "misspelt@tarnstreet.example",
      after: "well@tarnstreet.example",
    });
    expect((await signIn("well@tarnstreet.example", good)).reply.status).toBe(200);
    expect(problems(await change({ kind: "email", value: "lead@tarnstreet.example" }))[0]).toEqual({
      path: "/value",
      problem: "belongs to another account",
    });
    expect(problems(await change({ kind: "role", value: "king" }))[0]?.problem).toBe("is not a role");
  });
  it("the only lead stays one", async () => {
    const { you } = (await lead.get("/api/staff")).body;
    for (const more of [{ kind: "deactivate" }, { kind: "role", value: "clinician" }]) {
      const reply = await lead.post("/api/staff/changes", {
        id: uuid(),
        staffId: you,
        reason: "because",
        ...more,
      });
      expect(problems(reply)[0]?.problem).toMatch(/only lead/);
    }
  });
  it("of another clinic is nobody", async () => {
    for (const [path, body] of [
      ["/api/staff/links", { staffId: uuid() }],
      ["/api/staff/changes", { id: uuid(), staffId: uuid(), kind: "deactivate", reason: "because" }],
    ] as const)
      expect((await lead.post(path, body)).status).toBe(404);
  });
});

describe("one's own account", () => {
  it("the password is changed with the one before; every other browser is signed out", async () => {
    const { email } = await somebody("changer");
    const [one, other] = [(await signIn(email, good)).client, (await signIn(email, good)).client];
    const change = (current: string, password: string) =>
      one.post("/api/account/password", { current, password });
    expect(problems(await change("wrong", "five brown hens at dusk"))[0]?.path).toBe("/current");
    expect(problems(await change(good, good))[0]?.problem).toBe("is the one you have");
    expect(problems(await change(good, "New changer 2026"))[0]?.problem).toMatch(/your name/);
    expect((await change(good, "five brown hens at dusk")).status).toBe(200);
    expect((await one.get("/api/account")).status).toBe(200);
    expect((await other.get("/api/account")).status).toBe(401);
    expect((await signIn(email, good)).reply.status).toBe(401);
  });
  it("open sessions are seen and ended, one by one or all others", async () => {
    const { email } = await somebody("roamer");
    const clients = [];
    for (let n = 0; n < 3; n += 1) clients.push((await signIn(email, good)).client);
    const [here, there] = clients as [Client, Client, Client];
    const open = async () =>
      (await here.get("/api/account")).body.sessions as { name: string; current: boolean }[];
    expect(await open()).toHaveLength(3);
    expect((await open()).filter(({ current }) => current)).toHaveLength(1);
    const foreign = (
      (await there.get("/api/account")).body.sessions as { name: string; current: boolean }[]
    ).find(({ current }) => current);
    await here.post("/api/account/sessions-ended", { session: foreign?.name });
    expect((await there.get("/api/account")).status).toBe(401);
    await here.post("/api/account/sessions-ended", { session: "others" });
    expect(await open()).toEqual([expect.objectContaining({ current: true })]);
  });
  it("preferences follow the person to every browser", async () => {
    const { email } = await somebody("chooser");
    const { client } = await signIn(email, good);
    expect((await client.get("/api/account")).body.preferences).toEqual({ theme: "device", letters: true });
    await client.post("/api/account/preferences", { theme: "dark", letters: false });
    const elsewhere = (await signIn(email, good)).client;
    expect((await elsewhere.get("/api/account")).body.preferences).toEqual({ theme: "dark", letters: false });
    expect((await elsewhere.get("/")).body).toContain('data-theme="quarry-night"');
  });
  it("weights, lengths and dates are written as the clinic has them, or as somebody likes them", async () => {
    const { email } = await somebody("pounder");
    const { client } = await signIn(email, good);
    const set = (more: object) => client.post("/api/account/preferences", more);
    const page = async () => {
      const { body } = (await client.get("/api/caseload")) as { body: { rows: CaseloadRow[] } };
      const own = body.rows.find(({ person }) => person.familyName === "Sandoval");
      return String((await client.get(`/episodes/${own?.episodeId}/plan`)).body);
    };
    expect(await page()).not.toMatch(/\d lb \(/);
    await set({ weight: "lb", dates: "month-day" });
    await set({ theme: "dark" });
    const html = await page();
    // 60 kg are 132.3 lb; the head says since when in that order too.
    expect(html).toMatch(/\d lb \([\d.]+ kg\)/);
    expect(html).toContain('data-weight="lb"');
    expect(html).toContain('data-dates="month-day"');
    expect((await client.get("/api/account")).body.preferences).toEqual({
      theme: "dark",
      letters: true,
      weight: "lb",
      dates: "month-day",
    });
    // Two at once: both stand.
    await Promise.all([set({ length: "in" }), set({ letters: false }), set({ theme: "light" })]);
    expect((await client.get("/api/account")).body.preferences).toMatchObject({
      length: "in",
      letters: false,
      theme: "light",
    });
    await set({ weight: null, dates: null });
    expect(await page()).not.toMatch(/\d lb \(/);
    expect((await set({ weight: "stone" })).status).toBe(422);
  });
});

describe("a second factor", () => {
  const app = (secret: string) => {
    const totp = new TOTP({ secret: Secret.fromBase32(secret) });
    return () => totp.generate({ timestamp: now });
  };
  async function withFactor(name: string) {
    const member = await somebody(name);
    const { client } = await signIn(member.email, good);
    const { secret, picture } = (await client.post("/api/account/second-factor", { password: good })).body;
    expect(picture).toContain("<svg");
    const code = app(secret);
    return { ...member, client, code };
  }
  it("counts once a code was entered; then a password alone is not enough, and no code is taken twice", async () => {
    const { email, client, code } = await withFactor("careful");
    expect((await signIn(email, good)).reply.status).toBe(200);
    expect(problems(await client.post("/api/account/second-factor-on", { code: "000000" }))[0]?.path).toBe(
      "/code",
    );
    const on = await client.post("/api/account/second-factor-on", { code: code() });
    expect(on.body.recoveryCodes).toHaveLength(8);
    expect(on.body.account.secondFactor).toBe(true);
    expect((await signIn(email, good)).reply.body.type).toBe("/problems/code-needed");
    expect((await signIn(email, "wrong", code())).reply.body.type).toBe("/problems/sign-in-failed");
    expect((await signIn(email, good, code())).reply.body.type).toBe("/problems/code-wrong");
    later(60);
    expect((await signIn(email, good, code())).reply.status).toBe(200);
    expect((await signIn(email, good, code())).reply.status).toBe(401);
  });
  it("a recovery code works once; the lead can take a lost factor away", async () => {
    const { email, client, code, change } = await withFactor("loser");
    const { recoveryCodes } = (await client.post("/api/account/second-factor-on", { code: code() })).body;
    expect((await signIn(email, good, recoveryCodes[0].toUpperCase())).reply.status).toBe(200);
    expect((await signIn(email, good, recoveryCodes[0])).reply.status).toBe(401);
    expect((await client.get("/api/account")).body.recoveryCodesLeft).toBe(7);
    expect((await client.post("/api/account/second-factor", { password: good })).status).toBe(409);
    await change({ kind: "second-factor-off" });
    expect((await signIn(email, good)).reply.status).toBe(200);
  });
  it("is sealed in the database; where the key is another one no code of the app fits, a recovery code does", async () => {
    const { email, client, code, id } = await withFactor("sealed");
    const { recoveryCodes } = (await client.post("/api/account/second-factor-on", { code: code() })).body;
    const db = await mysql.createConnection(servers.database.ownerUrl);
    const sql = "SELECT secret FROM second_factors WHERE staff_id = ?";
    const [rows] = await db.query<mysql.RowDataPacket[]>(sql, [id]);
    await db.end();
    expect(String(rows[0]?.["secret"])).toMatch(/^sealed:[A-Za-z0-9+/=]{60,}$/);
    later(60);
    const other = await servers.startApp({ RECORD_KEY: Buffer.alloc(32, 9).toString("base64") });
    const there = (typed: string) =>
      new Client(other.url).post("/api/sign-in", { email, password: good, code: typed });
    expect((await there(code())).body.type).toBe("/problems/code-wrong");
    expect((await there(recoveryCodes[0])).status).toBe(200);
    expect((await signIn(email, good, code())).reply.status).toBe(200);
  });
  it("is turned off with the password, not by an open browser alone", async () => {
    const { client, code, email } = await withFactor("simple");
    await client.post("/api/account/second-factor-on", { code: code() });
    expect(problems(await client.post("/api/account/second-factor-off", { password: "no" }))[0]?.path).toBe(
      "/password",
    );
    expect((await client.post("/api/account/second-factor-off", { password: good })).body.secondFactor).toBe(
      false,
    );
    expect((await signIn(email, good)).reply.status).toBe(200);
  });
  it("wrong codes are counted like wrong passwords", async () => {
    const { email, client, code } = await withFactor("target");
    await client.post("/api/account/second-factor-on", { code: code() });
    const tries = [];
    for (let n = 0; n < 10; n += 1) tries.push((await signIn(email, good, "123456")).reply.status);
    expect(tries.slice(-2)).toEqual([429, 429]);
    const { lines } = (await lead.get("/api/audit")).body as { lines: { action: string; by: string }[] };
    const failed = lines.filter(({ action, by }) => action === "sign-in-failed" && by === "New target");
    expect(failed.length).toBe(tries.filter((status) => status === 401).length);
  });
});

it("the demo's own accounts go on as before", async () => {
  expect((await signIn("clinician@tarnstreet.example", demoPassword)).reply.status).toBe(200);
});
