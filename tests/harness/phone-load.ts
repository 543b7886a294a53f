import { expect } from "vitest";
import { v7 as uuid } from "uuid";
import type { PhoneView } from "~/contract/phone";
import { someIntake } from "~tests/builders/intake";
import { begin, item } from "./at-clinic";
import { Client, type Reply } from "./client";

const patienceMs = 120_000;
/** A phone that is not answered asks less and less often. */
const longestPauseMs = 2_000;

/** What phones tell, how fast, and what happens meanwhile. */
export interface PhoneLoad {
  /** Processes that are told in turn; the next one is tried when one does not answer. */
  readonly urls: readonly string[];
  readonly people: number;
  readonly aSecond: number;
  readonly forSeconds: number;
  /** One in so many is sent once more after it was answered, as a phone does that lost the answer. */
  readonly replayEvery: number;
  /** What is done at a second from the beginning. */
  readonly meanwhile: readonly (readonly [second: number, act: () => unknown])[];
}

/** What came of it. */
export interface Told {
  readonly ids: string[];
  /** Milliseconds that each took, in the order in which they were due. */
  readonly took: number[];
  readonly resent: number;
  readonly replayed: number;
  readonly seconds: number;
}

export const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

/** The middle one of some numbers, or the one below which a share of them lies. */
export const lying = (numbers: readonly number[], share = 0.5): number =>
  [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length * share)] ?? NaN;

/** Somebody new with one exercise, and a phone on which their plan is open. */
async function somebody(staff: Client): Promise<{ phone: Client; itemId: string }> {
  const itemId = uuid();
  const id = await begin(
    { client: staff },
    ["kneecap-pain", "capacity", "squat-free"],
    { person: { ...someIntake("kneecap-pain").person, familyName: itemId } },
    { items: [{ ...item("squat-free"), id: itemId }] },
  );
  const { token } = (await staff.post(`/api/episodes/${id}/phones`, undefined)).body as { token: string };
  const phone = new Client(staff.url);
  expect((await phone.post("/api/phone/openings", { token })).status).toBe(200);
  return { phone, itemId };
}

/** Has phones of new people tell what they did, so many a second, each piece until it is answered. */
export async function tellAtSpeed(staff: Client, load: PhoneLoad): Promise<Told> {
  const { urls, people, aSecond, forSeconds, replayEvery, meanwhile } = load;
  const sources: Awaited<ReturnType<typeof somebody>>[] = [];
  for (let n = 0; n < people; n += 1) sources.push(await somebody(staff));
  const plan = (await sources[0]?.phone.get("/api/phone"))?.body as PhoneView;
  const took: number[] = [];
  let [resent, replayed] = [0, 0];
  const urlOf = (turn: number) => urls[turn % urls.length] as string;

  /** Sends a piece until it is answered, as a phone's queue does; a process that is gone is left for another. */
  async function deliver(phone: Client, body: object, first: number): Promise<Reply> {
    const until = Date.now() + patienceMs;
    for (let turn = first; Date.now() < until; turn += 1) {
      const reply = await phone
        .at(urlOf(turn))
        .post("/api/phone/sessions", body)
        .catch(() => null);
      if (reply && reply.status < 500) return reply;
      resent += 1;
      await wait(Math.min(250 * 2 ** (turn - first), longestPauseMs));
    }
    throw new Error("nobody answered");
  }

  async function tell(n: number): Promise<string> {
    const { phone, itemId } = sources[n % people] as (typeof sources)[number];
    const id = uuid();
    const sets = [12, 12].map((reps) => ({
      side: "both",
      reps,
      painDuring: 1,
      painSite: "episode",
      effort: 5,
      faults: [],
    }));
    const occurredAt = new Date(Date.parse(plan.asOf) - 1000 * (n + 1)).toISOString();
    const body = { id, occurredAt, sentAt: plan.asOf, painBefore: 1, items: [{ itemId, sets }] };
    const began = Date.now();
    const reply = await deliver(phone, body, n);
    took[n] = Date.now() - began;
    expect([201, reply.body.id ?? id]).toEqual([reply.status, id]);
    if (n % replayEvery === 0) {
      replayed += 1;
      expect((await deliver(phone, body, n + 1)).body).toMatchObject({ repeated: true });
    }
    return id;
  }

  const begun = Date.now();
  const acts = new Map(meanwhile.map(([second, act]) => [second * aSecond, act]));
  const doing: unknown[] = [];
  const sent: Promise<string>[] = [];
  for (let n = 0; n < aSecond * forSeconds; n += 1) {
    const due = begun + (1000 * n) / aSecond;
    if (due > Date.now()) await wait(due - Date.now());
    const act = acts.get(n);
    if (act) doing.push(act());
    sent.push(tell(n));
  }
  const ids = await Promise.all(sent);
  const seconds = (Date.now() - begun) / 1000;
  await Promise.all(doing);
  return { ids, took, resent, replayed, seconds };
}
