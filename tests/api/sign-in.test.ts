import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { demoPassword } from "~demo/clinic";
import { addForeignClinic, foreignEmail } from "~tests/harness/foreign-clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import { Client, signedIn } from "~tests/harness/client";

let servers: Servers;
let url: string;
let clinician: Client;

beforeAll(async () => {
  servers = await startServers(2);
  url = servers.urls[0] as string;
  await addForeignClinic(servers.database.ownerUrl);
  clinician = await signedIn(url);
});
afterAll(() => servers.stop());

describe("sign-in", () => {
  it("sets a cookie that scripts and other sites cannot use", async () => {
    const { headers } = await new Client(url).post("/api/sign-in", {
      email: foreignEmail,
      password: demoPassword,
    });
    const cookie = headers.get("set-cookie") ?? "";
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Lax/i);
  });

  it("keeps only a hash of the token", async () => {
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const [rows] = await db.query<mysql.RowDataPacket[]>(
      "SELECT HEX(token_hash) AS hash FROM staff_sessions",
    );
    await db.end();
    const token = clinician.sessionCookie.split("=")[1] ?? "";
    expect(rows.length).toBeGreaterThan(0);
    const hex = Buffer.from(token, "base64url").toString("hex").toUpperCase();
    expect(rows.map((row) => row["hash"])).not.toContain(hex);
  });

  it("answers an unknown address and a wrong password alike, after like work", async () => {
    const timed = async (email: string) => {
      const started = performance.now();
      const reply = await new Client(url).post("/api/sign-in", { email, password: "wrong" });
      return { reply, ms: performance.now() - started };
    };
    const wrong = await timed("lead@tarnstreet.example");
    const unknown = await timed("nobody@tarnstreet.example");
    expect(unknown.reply.status).toBe(401);
    expect(unknown.reply.body).toEqual(wrong.reply.body);
    expect(unknown.ms).toBeGreaterThan(wrong.ms / 4);
  });

  it("is refused after too many tries, at every process and whatever X-Forwarded-For says", async () => {
    const email = "assistant@tarnstreet.example";
    const statuses: number[] = [];
    for (let n = 0; n < 12; n += 1) {
      const client = new Client(servers.urls[n % 2] as string);
      const headers = { "x-forwarded-for": `10.0.0.${n}` };
      statuses.push(
        (await client.send("POST", "/api/sign-in", { email, password: "wrong" }, headers)).status,
      );
    }
    expect(statuses.slice(0, 8)).toEqual(Array.from({ length: 8 }, () => 401));
    expect(statuses.slice(8)).toEqual([429, 429, 429, 429]);
    const right = await new Client(url).post("/api/sign-in", { email, password: demoPassword });
    expect(right.status).toBe(429);
    expect(Number(right.headers.get("retry-after"))).toBeGreaterThan(0);
  });

  it("ends with sign-out, at every process", async () => {
    const client = await signedIn(url, "lead");
    const held = client.at(servers.urls[1] as string);
    expect((await held.get("/api/caseload")).status).toBe(200);
    await client.post("/api/sign-out", {});
    expect((await held.get("/api/caseload")).status).toBe(401);
  });

  it("ends after an hour without use, and after twelve in any case", async () => {
    const client = await signedIn(url, "lead");
    const at = async (instant: string) => {
      servers.setClock(instant);
      return (await client.get("/api/caseload")).status;
    };
    expect(await at("2026-03-10T09:59:00Z")).toBe(200);
    expect(await at("2026-03-10T10:58:00Z")).toBe(200);
    expect(await at("2026-03-10T12:00:00Z")).toBe(401);
    servers.setClock("2026-03-10T09:00:00Z");
    const busy = await signedIn(url, "lead");
    for (let hour = 9; hour < 21; hour += 1) {
      servers.setClock(`2026-03-10T${String(hour).padStart(2, "0")}:59:00Z`);
      expect((await busy.get("/api/caseload")).status).toBe(hour < 21 ? 200 : 401);
    }
    servers.setClock("2026-03-10T21:01:00Z");
    expect((await busy.get("/api/caseload")).status).toBe(401);
    servers.setClock("2026-03-10T09:00:00Z");
  });
});
