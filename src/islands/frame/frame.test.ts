import { beforeEach, describe, expect, it, vi } from "vitest";
import { addresses, urlOf, type EndpointName } from "~/contract/addresses";
import { endpoints } from "~/contract/all";
import { call } from "./call";
import { endIntent, idOfIntent } from "./intent";
import {
  fittingFields,
  flag,
  listOf,
  number,
  oneOfThese,
  optional,
  orNull,
  parseKept,
  recordOf,
  shape,
  text,
} from "./kept-shape";

describe("addresses of the contract", () => {
  it("every address has its endpoint, and every endpoint its address", () => {
    expect(endpoints.map(({ name }) => name).sort()).toEqual(Object.keys(addresses).sort());
    expect(new Set(Object.values(addresses)).size).toBe(Object.keys(addresses).length);
  });

  it("values go where the path names them, the rest into the query, and nothing breaks out", () => {
    expect(urlOf("readTrend", { id: "e1", measure: "knee range" })).toBe(
      "/api/episodes/e1/trend?measure=knee+range",
    );
    expect(urlOf("readStair", { id: "e1" })).toBe("/api/episodes/e1");
    expect(urlOf("readExercise", { code: "../../x?y" })).toBe("/api/exercises/..%2F..%2Fx%3Fy");
  });

  it("a write says so, and only a write has a body", () => {
    for (const { name, body, status = 200 } of endpoints) {
      const isPost = addresses[name as EndpointName].startsWith("POST ");
      if (body || status === 201) expect([name, isPost]).toEqual([name, true]);
    }
  });
});

describe("the id of an intent", () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal("sessionStorage", {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
  });

  it("is made once, whoever asks again, and anew once the intent has ended", () => {
    const first = idOfIntent("sign a", 0);
    expect(idOfIntent("sign a", 60_000)).toBe(first);
    expect(idOfIntent("sign b", 0)).not.toBe(first);
    endIntent("sign a");
    expect(idOfIntent("sign a", 60_000)).not.toBe(first);
  });

  it("outlives a lost answer by half an hour, not by a day", () => {
    const first = idOfIntent("sign a", 0);
    expect(idOfIntent("sign a", 30 * 60_000 - 1)).toBe(first);
    expect(idOfIntent("sign a", 30 * 60_000)).not.toBe(first);
  });
});

describe("calling an endpoint", () => {
  const answering = (answer: () => Promise<Response>) => {
    const asked = vi.fn(answer);
    vi.stubGlobal("fetch", asked);
    vi.stubGlobal("location", { pathname: "/" });
    return asked;
  };
  const json =
    (body: object, status = 200) =>
    () =>
      Promise.resolve(new Response(JSON.stringify(body), { status }));

  it("sends a body as JSON to the address of the contract", async () => {
    const asked = answering(json({ id: "x", savedAt: "now" }, 201));
    const body = { id: "x", label: "y", body: {} };
    expect(await call("keepIntakeDraft", {}, body)).toEqual({ ok: true, value: { id: "x", savedAt: "now" } });
    expect(asked).toHaveBeenCalledWith("/api/intakes/drafts", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    });
  });

  it("hands over a document as it comes", async () => {
    vi.stubGlobal("window", new EventTarget());
    answering(() =>
      Promise.resolve(new Response("%PDF", { headers: { "content-type": "application/pdf" } })),
    );
    const sheet = { language: "de", letters: "usual", ink: "colour", paper: "a4" } as const;
    const answer = await call("printHandout", { id: "e1" }, sheet);
    expect(answer.ok && (await (answer.value as Blob).text())).toBe("%PDF");
  });

  it("a refusal, a sign-in that has ended and a lost connection are answers", async () => {
    answering(json({ type: "/problems/x", title: "No", status: 422 }, 422));
    expect(await call("listCaseload", {})).toMatchObject({ ok: false, problem: { title: "No" } });
    answering(json({ type: "/problems/not-signed-in", title: "Sign in first.", status: 401 }, 401));
    expect(await call("listCaseload", {})).toMatchObject({
      ok: false,
      problem: { title: expect.stringMatching(/sign/i) },
    });
    answering(() => Promise.reject(new TypeError("no network")));
    expect(await call("listCaseload", {})).toMatchObject({
      ok: false,
      problem: { status: 0, type: "/problems/offline" },
    });
  });
});

describe("what was kept is asked for its shape", () => {
  const isThing = shape<{ name: string; tags: string[]; count: number | null; note: string | undefined }>({
    name: text,
    tags: listOf(text),
    count: orNull(number),
    note: optional(text),
  });
  it.each([
    [{ name: "a", tags: [], count: null }, true],
    [{ name: "a", tags: ["b"], count: 2, note: "c", more: 1 }, true],
    [{ name: "a", tags: "b", count: 2 }, false],
    [{ name: "a", tags: [1], count: 2 }, false],
    [{ name: "a", tags: [], count: "2" }, false],
    [{ tags: [], count: 2 }, false],
    [null, false],
    [[], false],
    ["a", false],
  ])("%j: %s", (value, fits) => expect(isThing(value)).toBe(fits));

  it("text that is not JSON, or of another shape, is nothing", () => {
    expect(parseKept(null, text)).toBeNull();
    expect(parseKept("{", text)).toBeNull();
    expect(parseKept('{"a":1}', text)).toBeNull();
    expect(parseKept('{"a":1}', recordOf(number))).toEqual({ a: 1 });
  });

  it("of a form, the fields that fit are brought back", () => {
    const guards = { name: text, side: oneOfThese("left", "right"), fell: flag };
    expect(fittingFields(guards, { name: "a", side: "up", fell: "yes", more: 1 })).toEqual({ name: "a" });
    expect(fittingFields(guards, "nonsense")).toEqual({});
  });
});
