import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseFile } from "~/core/case/case-file";
import type { StairView } from "~/contract/episode";
import type { PhoneView } from "~/contract/phone";
import { at as address, atClinic, begin } from "~tests/harness/at-clinic";
import { Client, signedIn } from "~tests/harness/client";

const at = atClinic();

/** A queue is sent in its own order; which queue goes first is anybody's guess. Every order that can come of it. */
function merges<T>(queues: readonly (readonly T[])[]): T[][] {
  if (queues.every((queue) => queue.length === 0)) return [[]];
  return queues.flatMap(([first, ...rest], n) =>
    first === undefined
      ? []
      : merges(queues.map((queue, other) => (other === n ? rest : queue))).map((after) => [first, ...after]),
  );
}

interface Fact {
  readonly from: "one" | "two" | "clinic";
  readonly path: "sessions" | "mornings";
  readonly body: { readonly id: string };
}

const morning = (day: number) => `2026-03-${day}T07:00:00.000Z`;
const evening = (day: number) => `2026-03-${day}T17:00:00.000Z`;
const sentAt = "2026-03-20T09:00:00.000Z";

/** Six days of one person, as they happened: worked alone and in the clinic, mornings told from either phone. */
function livedDays(itemId: string): Fact[] {
  const session = (from: Fact["from"], day: number, pain: number): Fact => ({
    from,
    path: "sessions",
    body: {
      id: uuid(),
      occurredAt: evening(day),
      ...(from === "clinic" ? {} : { sentAt }),
      painBefore: 1,
      items: [
        {
          itemId,
          sets: [15, 15, 15].map((reps) => ({
            side: "both",
            reps,
            painDuring: pain,
            painSite: "episode",
            effort: 6,
            faults: [],
          })),
        },
      ],
    } as Fact["body"],
  });
  const told = (from: Fact["from"], day: number, pain: number): Fact => ({
    from,
    path: "mornings",
    body: {
      id: uuid(),
      occurredAt: morning(day),
      sentAt,
      trainingDate: `2026-03-${day - 1}`,
      pain,
    } as Fact["body"],
  });
  return [
    session("one", 12, 1),
    told("one", 13, 1),
    session("two", 14, 2),
    told("two", 15, 1),
    session("clinic", 16, 1),
    told("one", 17, 1),
    session("two", 18, 4),
    told("one", 19, 5),
  ];
}

/** Sends the facts of somebody new in an order, each once more at some time. @returns what is kept, and what is proposed */
async function lived(order: readonly number[], again: (n: number) => boolean) {
  at.servers.setClock("2026-03-10T09:00:00.000Z");
  const url = at.client.url;
  const staff = await signedIn(url);
  const id = await begin({ ...at, client: staff }, ["kneecap-pain", "capacity", "squat-free"]);
  const opened = async () => {
    const { token } = (await staff.post(address(id, "phones"), undefined)).body as { token: string };
    const phone = new Client(url);
    expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
    return phone;
  };
  const phones = { one: await opened(), two: await opened() };
  const itemId = ((await phones.one.get("/api/phone")).body as PhoneView).items[0]?.itemId ?? "";
  at.servers.setClock(sentAt);
  const late = await signedIn(url);
  const facts = livedDays(itemId);
  const send = async ({ from, path, body }: Fact) =>
    from === "clinic" ? late.post(address(id, path), body) : phones[from].post(`/api/phone/${path}`, body);
  for (const [n, index] of order.entries()) {
    const fact = facts[index] as Fact;
    expect((await send(fact)).status).toBe(201);
    if (again(n))
      expect((await send(facts[order[Math.floor(n / 2)] ?? 0] as Fact)).body).toMatchObject({
        repeated: true,
      });
  }
  const file = (await late.get(address(id, "case"))).body as CaseFile;
  const stair = (await late.get(`/api/episodes/${id}`)).body as StairView;
  expect(file.sessions.map((one) => one.id).sort()).toEqual(
    facts
      .filter(({ path }) => path === "sessions")
      .map(({ body }) => body.id)
      .sort(),
  );
  return {
    sessions: file.sessions
      .map(({ at: when, painBefore, items }) => ({
        when,
        painBefore,
        sets: items.map(({ sets }) => sets),
      }))
      .sort((a, b) => a.when.localeCompare(b.when)),
    reports: file.reports
      .map(({ trainingDate, pain }) => ({ trainingDate, pain }))
      .sort((a, b) => a.trainingDate.localeCompare(b.trainingDate)),
    proposals: stair.items.map(({ proposal }) => proposal),
  };
}

describe("two phones and the clinic, each with a queue", () => {
  it("come to one record and one proposal, whichever queue is sent first and whatever is sent again", async () => {
    const sources = livedDays("x").map(({ from }) => from);
    const queue = (from: Fact["from"]) => sources.flatMap((source, n) => (source === from ? [n] : []));
    const orders = merges([queue("one"), queue("two"), queue("clinic")]);
    expect(orders).toHaveLength(280);
    const happened = await lived(
      sources.map((_, n) => n),
      () => false,
    );
    expect(happened.sessions).toHaveLength(4);
    expect(happened.reports).toHaveLength(4);
    // The last day and its morning were bad: it is that day that decides, in every order.
    expect(happened.proposals.map(({ outcome }) => outcome)).toEqual(["ease"]);
    for (let n = 0; n < orders.length; n += 40)
      expect(await lived(orders[n] ?? [], (sent) => (sent + n) % 3 === 0)).toEqual(happened);
    expect(await lived(orders.at(-1) ?? [], () => true)).toEqual(happened);
  });
});
