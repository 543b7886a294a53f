import { beforeEach, expect, it, vi } from "vitest";
import type { Waiting } from "~/workers/phone/phone-store";

const kept: { waiting: { key: number; what: Waiting }[]; notTaken: unknown[] } = {
  waiting: [],
  notTaken: [],
};
vi.mock("~/workers/phone/phone-store", () => ({
  readWaiting: () => Promise.resolve([...kept.waiting]),
  dropWaiting: (key: number) => {
    kept.waiting = kept.waiting.filter((one) => one.key !== key);
    return Promise.resolve();
  },
  readKept: () => Promise.resolve(kept.notTaken),
  keep: (_name: string, value: unknown[]) => {
    if (isFull) return Promise.reject(new Error("no room"));
    kept.notTaken = value;
    return Promise.resolve();
  },
}));
let isFull = false;
const answers: { status: number; type?: string }[] = [];
const asked: string[] = [];
let meanwhile: (() => void) | null = null;
vi.mock("~/islands/frame/call", () => ({
  call: (name: string, _values: object, body: { id: string }) => {
    asked.push(`${name} ${body.id}`);
    meanwhile?.();
    const { status, type = "/problems/other" } = answers.shift() ?? { status: 201 };
    const ok = status >= 200 && status < 300;
    return Promise.resolve(ok ? { ok, value: {} } : { ok, problem: { type, status, title: "No." } });
  },
}));
let isOld = false;
vi.mock("./edition", () => ({ isOtherEdition: () => isOld }));
const { sendWaiting } = await import("./send-waiting");

const morning = (id: string): Waiting => ({
  name: "tellMorning",
  body: { id, occurredAt: "2026-03-10T08:00:00Z", trainingDate: "2026-03-09", pain: 1 },
});
beforeEach(() => {
  kept.waiting = ["a", "b", "c"].map((id, key) => ({ key, what: morning(id) }));
  kept.notTaken = [];
  answers.length = asked.length = 0;
  meanwhile = null;
  isFull = false;
  isOld = false;
});

it("sends in order, each once", async () => {
  expect(await sendWaiting()).toBe("all");
  expect(asked).toEqual(["tellMorning a", "tellMorning b", "tellMorning c"]);
  expect(kept.waiting).toEqual([]);
});

it("where nobody answers, the rest waits in its order", async () => {
  answers.push({ status: 201 }, { status: 0 });
  expect(await sendWaiting()).toBe("later");
  expect(kept.waiting.map(({ what }) => what.body.id)).toEqual(["b", "c"]);
});

it("what is refused for good is kept with its reason, and the rest goes on", async () => {
  answers.push({ status: 422 });
  expect(await sendWaiting()).toBe("all");
  expect(kept.notTaken).toEqual([{ what: morning("a"), why: "No." }]);
  expect(asked).toHaveLength(3);
});

it("what is refused while there is no room to say so stays among what waits; the rest goes on", async () => {
  answers.push({ status: 422 });
  isFull = true;
  expect(await sendWaiting()).toBe("all");
  expect(kept.waiting.map(({ what }) => what.body.id)).toEqual(["a"]);
  expect(asked).toHaveLength(3);
});

it("a phone that was closed sends nothing more, and drops nothing by itself", async () => {
  answers.push({ status: 401, type: "/problems/phone-not-open" });
  expect(await sendWaiting()).toBe("shut");
  expect([asked.length, kept.waiting.length]).toEqual([1, 3]);
});

it("who asks while an attempt fails is heard: it is tried again at once", async () => {
  answers.push({ status: 0 });
  meanwhile = () => {
    meanwhile = null;
    void sendWaiting();
  };
  expect(await sendWaiting()).toBe("all");
  expect(kept.waiting).toEqual([]);
});

it("what is told while the rest is being sent goes as well, without waiting for another occasion", async () => {
  meanwhile = () => {
    if (asked.length !== 3) return;
    kept.waiting.push({ key: 9, what: morning("d") });
    void sendWaiting();
  };
  expect(await sendWaiting()).toBe("all");
  expect(asked.at(-1)).toBe("tellMorning d");
  expect(kept.waiting).toEqual([]);
});

it("a page older than the server gives nothing up: what is refused waits for the page of today", async () => {
  isOld = true;
  answers.push({ status: 201 }, { status: 400 });
  expect(await sendWaiting()).toBe("later");
  expect(kept.waiting.map(({ key }) => key)).toEqual([1, 2]);
  expect(kept.notTaken).toEqual([]);
  isOld = false;
  answers.push({ status: 400 });
  expect(await sendWaiting()).toBe("all");
  expect(kept.notTaken).toHaveLength(1);
});
