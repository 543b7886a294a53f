import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { PhoneView } from "~/contract/phone";
import type { PhonesView } from "~/contract/phones";
import type { RecordView } from "~/contract/record";
import type { PersonFile } from "~/contract/trust";
import { Client, signedIn } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { fencer } from "~tests/harness/story";

let servers: Servers;
let clinician: Client;
let phone: Client;

beforeAll(async () => {
  servers = await startServers(1);
  const url = servers.urls[0] as string;
  clinician = await signedIn(url);
  const made = await clinician.post(`/api/episodes/${fencer}/phones`, undefined);
  phone = new Client(url);
  const { token } = made.body as { token: string };
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
});
afterAll(() => servers.stop());

const viewOf = async () => (await phone.get("/api/phone")).body as PhoneView;
const phonesOf = async () => (await clinician.get(`/api/episodes/${fencer}/phones`)).body as PhonesView;
const say = (itemId: string, allowed: boolean, reason = "steady for three weeks") =>
  clinician.post(`/api/episodes/${fencer}/harder-days`, { id: uuid(), itemId, allowed, reason });

describe("harder on a good day", () => {
  it("is offered on the phone only where it was allowed in writing, and no more once that is taken back", async () => {
    const before = await phonesOf();
    const open = before.harder.find(({ change }) => change !== null);
    if (!open) throw new Error("nothing in the plan can be turned for a day");
    expect(open.word).toBeNull();
    expect((await viewOf()).items.every(({ harder }) => harder === null)).toBe(true);
    expect((await say(open.itemId, true)).status).toBe(201);
    const offered = (await viewOf()).items.filter(({ harder }) => harder !== null);
    expect(offered.map(({ itemId, harder }) => [itemId, harder?.knob])).toEqual([
      [open.itemId, open.change?.knob],
    ]);
    // It is no step: what is prescribed stands as it did.
    const [item] = offered;
    expect(item?.harder?.prescription).not.toEqual(item?.prescription);
    const stair = (await clinician.get(`/api/episodes/${fencer}`)).body as {
      items: { itemId: string; prescription: object }[];
    };
    expect(stair.items.find(({ itemId }) => itemId === open.itemId)?.prescription).toEqual(
      item?.prescription,
    );
    expect((await say(open.itemId, false, "too keen")).status).toBe(201);
    expect((await viewOf()).items.every(({ harder }) => harder === null)).toBe(true);
    expect((await phonesOf()).harder.find(({ itemId }) => itemId === open.itemId)?.word).toMatchObject({
      allowed: false,
      reason: "too keen",
    });
  });

  it("is not offered while anything of the plan is stopped", async () => {
    const [open] = (await phonesOf()).harder.filter(({ change }) => change !== null);
    if (!open) throw new Error("nothing in the plan can be turned for a day");
    expect((await say(open.itemId, true)).status).toBe(201);
    expect((await viewOf()).items.some(({ harder }) => harder !== null)).toBe(true);
    const at = new Date().toISOString();
    const sign = { id: uuid(), code: "calf-hot", occurredAt: at, sentAt: at };
    expect((await phone.post("/api/phone/signals", sign)).status).toBe(201);
    const after = await viewOf();
    expect(after.halted).not.toBeNull();
    expect(after.items.every(({ harder }) => harder === null)).toBe(true);
    expect((await phonesOf()).harder.every(({ bar }) => bar === "stop")).toBe(true);
  });

  it("asks for a reason and an exercise of the plan; assistants may not; the record and the person's file tell it", async () => {
    const [first] = (await phonesOf()).harder;
    expect((await say(first?.itemId ?? "", true, "  ")).status).toBe(422);
    const elsewhere = await say(uuid(), true);
    expect(elsewhere.status).toBe(422);
    const url = servers.urls[0] as string;
    const assistant = await signedIn(url, "assistant");
    const body = { id: uuid(), itemId: first?.itemId, allowed: true, reason: "because" };
    expect((await assistant.post(`/api/episodes/${fencer}/harder-days`, body)).status).toBe(403);
    const message = { id: uuid(), words: "Take it easy today" };
    expect((await clinician.post(`/api/episodes/${fencer}/messages`, message)).status).toBe(201);
    const record = (await clinician.get(`/api/episodes/${fencer}/record`)).body as RecordView;
    const kinds = record.entries.map(({ kind }) => kind);
    expect(kinds).toContain("harder");
    expect(record.entries.find(({ kind }) => kind === "message")).toMatchObject({ words: message.words });
    const lead = await signedIn(url, "lead");
    const { episodes } = (await lead.get(`/api/episodes/${fencer}/person-file`)).body as PersonFile;
    expect(episodes[0]?.phones).toMatchObject([{ kind: "code" }, { kind: "phone", endedAt: null }]);
    expect(JSON.stringify(episodes[0]?.phones)).not.toMatch(/token|hash/);
  });
});
