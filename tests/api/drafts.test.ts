import { expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { atClinic } from "~tests/harness/at-clinic";
import type { Reply } from "~tests/harness/client";

/** Unfinished intakes of a clinic. */
const clinic = atClinic({ own: true });

it("none is kept out of sight: where the list is full a new one is refused in words, and what is there goes on", async () => {
  const ids = Array.from({ length: 40 }, () => uuid());
  const keep = (id: string, label = "One of many") =>
    clinic.client.post("/api/intakes/drafts", { id, label, body: {} });
  const replies: Reply[] = [];
  for (const id of ids) replies.push(await keep(id));
  const kept = ids.filter((_, n) => replies[n]?.status === 201);
  const refused = replies.filter(({ status }) => status !== 201);
  expect(refused.length).toBeGreaterThan(9);
  for (const { status, body } of refused)
    expect([status, body.title]).toEqual([409, expect.stringMatching(/30 unfinished intakes/)]);
  const { drafts } = (await clinic.client.get("/api/intakes/drafts")).body as { drafts: { id: string }[] };
  expect(drafts.length).toBe(30);
  for (const id of kept) expect(drafts.map((draft) => draft.id)).toContain(id);
  expect((await keep(kept[0] ?? "", "Goes on")).status).toBe(201);
  await clinic.client.post("/api/intakes/drafts/dropped", { id: kept[1] });
  expect((await keep(ids.at(-1) ?? "")).status).toBe(201);
  for (const id of [...kept, ids.at(-1)]) await clinic.client.post("/api/intakes/drafts/dropped", { id });
});
