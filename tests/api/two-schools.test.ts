import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { skater, squeezeOf, squeezeSession } from "~tests/harness/story";

let servers: Servers;
/** The same clinician at two application processes. */
let one: Client;
let two: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
});
afterAll(() => servers.stop());

const proposalOf = async (client: Client, episode: string, key: string, query = "") => {
  const { body } = await client.get(`/api/episodes/${episode}${query}`);
  return body.items.find((item: { itemId: string }) => item.itemId === squeezeOf(key));
};
const paths = (reply: { body: { problems?: { path: string }[] } }) =>
  reply.body.problems?.map((p) => p.path) ?? [];

describe("the second patient: two schools judge one record", () => {
  it("pain-free eases to 54–72 N, monitored would hold; the preview changes nothing", async () => {
    const session = squeezeSession("speed-skater", { painBefore: 0 }, { painDuring: 3 });
    expect((await one.post(`/api/episodes/${skater}/sessions`, session)).status).toBe(201);
    const inForce = await proposalOf(one, skater, "speed-skater");
    expect(inForce.proposal).toMatchObject({ outcome: "ease", change: { to: "30-40" } });
    const preview = await proposalOf(one, skater, "speed-skater", "?school=monitored");
    expect(preview.proposal.outcome).toBe("hold");
    expect((await proposalOf(two, skater, "speed-skater")).proposal.outcome).toBe("ease");
    expect((await one.get(`/api/episodes/${skater}?school=mild`)).status).toBe(422);
  });

  it("going against it needs a reason, and takes only what the exercise has", async () => {
    const { version } = (await one.get(`/api/episodes/${skater}`)).body;
    const send = (over: object) =>
      one.post(`/api/episodes/${skater}/decisions`, {
        id: uuid(),
        itemId: squeezeOf("speed-skater"),
        expectedVersion: version,
        ...over,
      });
    expect(paths(await send({ action: "refuse" }))).toEqual(["/reason"]);
    expect(paths(await send({ action: "refuse", reason: "   " }))).toContain("/reason");
    const alternative = { direction: "easier", kind: "knob", knob: "support" };
    expect(paths(await send({ action: "change", reason: "because", alternative }))).toEqual(["/alternative"]);
    const fewer = { direction: "easier", kind: "knob", knob: "sets" };
    const changed = await send({
      action: "change",
      reason: "Fewer sets are enough today",
      alternative: fewer,
    });
    expect(changed.status).toBe(201);
    const item = changed.body.stair.items[0];
    expect(item.prescription.dose).toMatchObject({ sets: 4, effort: { lowPercent: 50, highPercent: 70 } });
  });

  it("a school is set with its reason, by somebody who may sign", async () => {
    const path = `/api/episodes/${skater}/school`;
    expect(paths(await one.post(path, { id: uuid(), school: "monitored" }))).toContain("/reason");
    const assistant = await signedIn(servers.urls[1] as string, "assistant");
    const body = { id: uuid(), school: "monitored", reason: "Settles overnight" };
    expect((await assistant.post(path, body)).status).toBe(403);
    expect((await one.post(path, body)).body.stair).toMatchObject({
      schoolInForce: "monitored",
      schoolReason: "Settles overnight",
    });
  });
});
