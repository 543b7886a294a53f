import { afterAll, beforeAll, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { ListItem } from "~/core/intake/compose-list";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { fencer } from "~tests/harness/story";

let servers: Servers;
let one: Client;
beforeAll(async () => {
  servers = await startServers(1);
  one = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());
const path = `/api/episodes/${fencer}`;
const compose = (body: object) => one.post(`${path}/composition`, body);

it("composes within this patient's limits and stores nothing; what it proposes can be added", async () => {
  const before = (await one.get(`${path}/plan`)).body;
  const list = await compose({ needs: ["hurt-groin", "found-side-plank", "asks-turning"], minutes: 15 });
  expect(list.status).toBe(200);
  expect(list.body.items.length).toBeGreaterThan(1);
  expect(list.body.minutes).toBeLessThanOrEqual(15);
  expect((await one.get(`${path}/plan`)).body.version).toBe(before.version);
  const present = before.items.map((item: { exerciseId: string }) => item.exerciseId);
  for (const { exerciseId, prescription, role } of list.body.items as ListItem[]) {
    expect(present).not.toContain(exerciseId);
    const { variantId, settings, dose } = prescription;
    const added = await one.post(`${path}/items`, {
      id: uuid(),
      exerciseId,
      variantId,
      settings,
      dose,
      role,
      meant: true,
    });
    expect([exerciseId, added.status]).toEqual([exerciseId, 201]);
  }
});

it.each([
  [{ needs: [], minutes: 15 }, "/needs"],
  [{ needs: ["hurt-feelings"], minutes: 15 }, "/needs/0"],
  [{ needs: ["hurt-groin", "hurt-groin"], minutes: 15 }, "/needs"],
  [{ needs: ["hurt-groin"], minutes: 0 }, "/minutes"],
  [{ needs: ["hurt-groin"] }, "/minutes"],
])("%j is refused at %s", async (body, field) => {
  const reply = await compose(body);
  expect(reply.status).toBe(422);
  expect(reply.body.problems.map((p: { path: string }) => p.path)).toContain(field);
});
