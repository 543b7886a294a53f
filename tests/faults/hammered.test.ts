import { afterAll, beforeAll, expect, it } from "vitest";
import { Client, signedIn } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { fencer } from "~tests/harness/story";

/** OWASP ASVS 5 2.4.1: who is known is counted too. */
let servers: Servers;
let url: string;
beforeAll(async () => {
  servers = await startOwnServers(0);
  ({ url } = await servers.startApp({ CALLS_A_MINUTE: "30" }));
});
afterAll(() => servers.stop());

const statuses = async (client: Client, path: string, times: number) => {
  const replies = await Promise.all(Array.from({ length: times }, () => client.get(path)));
  return replies.map(({ status }) => status);
};

it("more at once than a process bears is sent away at once; its health is told all the same", async () => {
  const busy = await servers.startApp({ REQUESTS_AT_ONCE: "5" });
  const client = await signedIn(busy.url);
  const replies = await Promise.all(
    Array.from({ length: 60 }, (_, n) => client.get(n % 6 === 0 ? "/health" : `/api/episodes/${fencer}`)),
  );
  const of = (isHealth: boolean) => replies.filter((_, n) => (n % 6 === 0) === isHealth);
  expect(new Set(of(true).map(({ status }) => status))).toEqual(new Set([200]));
  expect(new Set(of(false).map(({ status }) => status))).toEqual(new Set([200, 503]));
  const away = of(false).find(({ status }) => status === 503);
  expect([away?.body.type, away?.headers.get("retry-after")]).toEqual(["/problems/busy", "2"]);
  expect((await client.get(`/api/episodes/${fencer}`)).status).toBe(200);
});

it("a body that is too large is told so, not cut off while it is sent", async () => {
  const client = await signedIn(url, "assistant");
  for (let n = 0; n < 12; n += 1) {
    const reply = await client.post("/api/calc/case", { text: "x".repeat(24_000_000) });
    expect([reply.status, reply.body.type]).toEqual([413, "/problems/too-large"]);
  }
});

it("whoever hammers waits, pages and all; nobody else does", async () => {
  const [clinician, lead] = [await signedIn(url), await signedIn(url, "lead")];
  const { token } = (await clinician.post(`/api/episodes/${fencer}/phones`, undefined)).body as {
    token: string;
  };
  const phone = new Client(url);
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
  expect(new Set(await statuses(clinician, "/api/account", 40))).toEqual(new Set([200, 429]));
  const over = await clinician.get("/");
  expect([over.status, over.body.title]).toEqual([
    429,
    "This is asked too often. Wait a minute. Nothing was saved.",
  ]);
  expect(Number(over.headers.get("retry-after"))).toBeGreaterThan(0);
  expect(Number(over.headers.get("retry-after"))).toBeLessThanOrEqual(60);
  expect((await lead.get("/api/account")).status).toBe(200);
  expect((await phone.get("/api/phone")).status).toBe(200);
  expect((await clinician.get("/health")).status).toBe(200);
  expect(new Set(await statuses(phone, "/api/phone", 40))).toEqual(new Set([200, 429]));
});
