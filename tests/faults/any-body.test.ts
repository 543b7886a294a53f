import { JSONSchemaFaker as faker } from "json-schema-faker";
import { afterAll, beforeAll, expect, it } from "vitest";
import { allCalculations } from "~/catalogue/calculations/all";
import { addresses, type EndpointName } from "~/contract/addresses";
import { endpoints } from "~/contract/all";
import { Client, signedIn } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { drawn } from "~tests/builders/weeks";
import { fencer, skater } from "~tests/harness/story";

/** How many bodies are sent: `BODIES=50000` for the long run by hand. */
const bodies = Number(process.env["BODIES"] ?? 3000);
const seed = Number(process.env["SEED"] ?? 20);
const atOnce = 6;
const patienceMs = 300_000 + bodies * 100;

let servers: Servers;
let staff: readonly [lead: Client, clinician: Client];
let phone: Client;
beforeAll(async () => {
  servers = await startOwnServers(1);
  const url = servers.urls[0] as string;
  staff = [await signedIn(url, "lead"), await signedIn(url, "clinician")];
  phone = new Client(url);
  const { token } = (await staff[0].post(`/api/episodes/${fencer}/phones`, undefined)).body as {
    token: string;
  };
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
});
afterAll(() => servers.stop());

/** What would sign the test out, or makes whoever asks wait by design. */
const leftOut: readonly EndpointName[] = [
  "signIn",
  "signOut",
  "endSessions",
  "changePassword",
  "setPassword",
  "confirmSecondFactor",
  "dropSecondFactor",
  "changeColleague",
  "openPhone",
  "endPhones",
];

const next = drawn(seed);
const whole = (most: number) => Math.floor(next() * (most + 1));
const oneOf = <T>(list: readonly T[]): T => list[whole(list.length - 1)] as T;
faker.option({
  random: next,
  optionalsProbability: 0.5,
  failOnInvalidFormat: false,
  failOnInvalidTypes: false,
  maxItems: 4,
  maxLength: 60,
});
faker.format(
  "date",
  () => `2026-${String(1 + whole(11)).padStart(2, "0")}-${String(1 + whole(27)).padStart(2, "0")}`,
);
faker.format("date-time", () => `2026-03-${String(1 + whole(27)).padStart(2, "0")}T0${whole(9)}:00:00.000Z`);

/** What no form sends and somebody will. */
const nasty: readonly (() => unknown)[] = [
  () => null,
  () => "",
  () => "\ud800",
  () => "\u0000",
  () => "x".repeat(whole(5000)),
  () => -0,
  () => -1,
  () => 1e308,
  () => 0.1 + whole(9),
  () => Number.MAX_SAFE_INTEGER,
  () => true,
  () => [],
  () => ({}),
  () => Array.from({ length: whole(300) }, () => 1),
  () => JSON.parse(`${"[".repeat(30)}${"]".repeat(30)}`) as unknown,
  () => JSON.parse('{"__proto__":{"role":"lead"}}') as unknown,
  () => "2026-12-31T23:59:60Z",
  () => "2026-02-30",
  () => "0000-01-01",
  () => "9999-12-31T23:59:59.999Z",
  () => "urn:uuid:0198f000-0000-7000-8000-000000000001",
  () => "0198F000-0000-7000-8000-00000000000A",
  () => "' OR 1=1 --",
];

/** A body with one value somewhere in it made nasty. */
function spoilt(value: unknown): unknown {
  if (typeof value !== "object" || value === null || next() < 0.2) return oneOf(nasty)();
  const keys = Object.keys(value);
  if (keys.length === 0) return oneOf(nasty)();
  const key = oneOf(keys);
  const copy = (Array.isArray(value) ? [...(value as unknown[])] : { ...value }) as Record<string, unknown>;
  copy[key] = spoilt(copy[key]);
  return copy;
}

const writing = Object.values(endpoints).filter(
  ({ name, body }) => body !== undefined && addresses[name].startsWith("POST") && !leftOut.includes(name),
);

/** Bodies made of each schema: so many, then they are sent again, whole or spoilt elsewhere. A whole case takes seconds to make. */
const mostOfOne = 20;
const made = new Map<object, unknown[]>();
function asked(schema: object): unknown {
  const bodiesOf = made.get(schema) ?? [];
  made.set(schema, bodiesOf);
  if (bodiesOf.length >= mostOfOne) return oneOf(bodiesOf);
  bodiesOf.push(faker.generate(JSON.parse(JSON.stringify(schema)) as object));
  return bodiesOf.at(-1);
}
const places = [fencer, skater, "0198f000-0000-7000-8000-00000000dead", "not-an-id", "%00"];

/** A call of some endpoint: who asks, its path with something in it, and a body from its schema, mostly spoilt. */
function someCall(): { by: Client; path: string; body: unknown } {
  const by = oneOf(staff);
  if (next() < 0.2) {
    const { name, input } = oneOf(allCalculations.filter((one) => one.name !== "plan-week"));
    const body = asked(input);
    return { by, path: `/api/calc/${name}`, body: next() < 0.6 ? spoilt(body) : body };
  }
  const { name, body: schema, roles } = oneOf(writing);
  const path = addresses[name].slice("POST ".length).replace(/\{[^}]*\}/g, () => oneOf(places));
  const body = asked(schema as object);
  return { by: roles === "phone" ? phone : by, path, body: next() < 0.6 ? spoilt(body) : body };
}

// OWASP API Security 2023, API4 and API8 (recalled): whatever is sent, the answer is an answer.
it(
  `${bodies} bodies of every shape: none fails, and the process answers on`,
  async () => {
    const failures: string[] = [];
    const statuses = new Map<number, number>();
    for (let sent = 0; sent < bodies; sent += atOnce) {
      const calls = Array.from({ length: Math.min(atOnce, bodies - sent) }, someCall);
      const replies = await Promise.all(calls.map(({ by, path, body }) => by.post(path, body)));
      replies.forEach(({ status }, n) => {
        statuses.set(status, (statuses.get(status) ?? 0) + 1);
        if (status >= 500)
          failures.push(`${status} ${calls[n]?.path} ${JSON.stringify(calls[n]?.body).slice(0, 600)}`);
      });
    }
    const told = [...statuses].sort().map(([status, count]) => `${status}: ${count}`);
    expect(failures.slice(0, 5), told.join(", ")).toEqual([]);
    expect(statuses.get(201) ?? 0).toBeGreaterThan(0);
    expect((await staff[0].get("/health")).status).toBe(200);
    expect((await staff[0].get("/api/caseload")).status).toBe(200);
    expect((await phone.get("/api/phone")).status).toBe(200);
  },
  patienceMs,
);
