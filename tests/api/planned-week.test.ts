import { afterAll, beforeAll, expect, it } from "vitest";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { randomWeek } from "~tests/builders/weeks";

let servers: Servers;
let clinician: Client;
beforeAll(async () => {
  servers = await startServers(1);
  clinician = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());

it("a week that takes the solver long is planned beside everything else, and several at once", async () => {
  const week = { ...randomWeek(4_242, { items: 22, days: 7, fixed: false }), secondsLimit: 2 };
  let planning = true;
  const plans = Promise.all([1, 2, 3].map(() => clinician.post("/api/calc/plan-week", week))).finally(
    () => (planning = false),
  );
  const waits: number[] = [];
  while (planning) {
    const asked = performance.now();
    expect((await clinician.get("/health")).status).toBe(200);
    waits.push(performance.now() - asked);
  }
  for (const { status, body } of await plans) {
    expect(status).toBe(200);
    expect(body.placed.length).toBeGreaterThan(0);
  }
  // A process that solved by itself would have answered nobody meanwhile.
  expect(waits.length).toBeGreaterThan(20);
});

it("a clash is an answer; what makes no sense is refused at its field", async () => {
  const week = randomWeek(1, { items: 2, days: 3, fixed: false });
  const [item] = week.items;
  const pair = { item: item?.id, date: week.days[0]?.date };
  const clash = await clinician.post("/api/calc/plan-week", {
    ...week,
    locks: [
      { ...pair, on: true },
      { ...pair, on: false },
    ],
  });
  expect([clash.status, clash.body.conflict.length]).toEqual([200, 2]);
  const refused = await clinician.post("/api/calc/plan-week", { ...week, days: week.days.slice(1) });
  expect([refused.status, refused.body.problems[0].path]).toEqual([422, "/days"]);
});
