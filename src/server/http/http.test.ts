import { afterEach, describe, expect, it, vi } from "vitest";
import { usualLimit } from "~/contract/endpoint";
import { originAllowed } from "./origin";
import type { ApiProblem } from "./problem";
import { readJson } from "./read-body";

const asked = (method: string, headers: Record<string, string> = {}) =>
  new Request("http://clinic.example/api/x", { method, headers: { host: "clinic.example", ...headers } });

describe("whether a request may write", () => {
  afterEach(() => vi.unstubAllEnvs());

  it.each(["GET", "HEAD"])("%s changes nothing and needs no origin", (method) => {
    expect(originAllowed(asked(method))).toBe(true);
    expect(originAllowed(asked(method, { origin: "https://elsewhere.example" }))).toBe(true);
  });

  it.each(["POST", "PUT", "PATCH", "DELETE"])("%s must come from this site and say so", (method) => {
    expect(originAllowed(asked(method, { origin: "http://clinic.example" }))).toBe(true);
    expect(originAllowed(asked(method))).toBe(false);
    expect(originAllowed(asked(method, { origin: "https://elsewhere.example" }))).toBe(false);
    expect(originAllowed(asked(method, { origin: "http://clinic.example.evil.example" }))).toBe(false);
    expect(originAllowed(asked(method, { origin: "null" }))).toBe(false);
  });

  it("behind a proxy the published address counts, whatever the host header says", () => {
    vi.stubEnv("PUBLIC_URL", "https://stairs.example/");
    expect(originAllowed(asked("POST", { origin: "https://stairs.example" }))).toBe(true);
    expect(originAllowed(asked("POST", { origin: "http://stairs.example" }))).toBe(false);
    expect(originAllowed(asked("POST", { origin: "http://clinic.example" }))).toBe(false);
  });
});

describe("the body of a request", () => {
  const posted = (body: BodyInit, type = "application/json") =>
    new Request("http://clinic.example/api/x", {
      method: "POST",
      body,
      headers: { "content-type": type },
      duplex: "half",
    } as RequestInit);
  const problem = (request: Request, bytes = usualLimit.bytes, depth = usualLimit.depth) =>
    readJson(request, { bytes, depth }).then(
      () => null,
      (error: ApiProblem) => [error.status, error.type],
    );
  const stream = (chunks: number, size: number) => {
    let sent = 0;
    const read = { chunks: 0 };
    const body = new ReadableStream<Uint8Array>({
      pull(controller) {
        if (sent >= chunks) return controller.close();
        sent += 1;
        read.chunks = sent;
        controller.enqueue(new Uint8Array(size).fill(32));
      },
    });
    return { body, read };
  };

  it("is JSON in UTF-8, with or without its charset", async () => {
    expect(await readJson(posted('{"a":[1,"ü"]}'), usualLimit)).toEqual({ a: [1, "ü"] });
    expect(await readJson(posted("[]", "application/json; charset=utf-8"), usualLimit)).toEqual([]);
  });

  it("of another type, broken, or in another encoding is refused by kind", async () => {
    expect(await problem(posted("{}", "text/plain"))).toEqual([415, "not-json"]);
    expect(await problem(posted("{}", "application/jsonp"))).toEqual([415, "not-json"]);
    expect(await problem(posted('{"a":'))).toEqual([400, "malformed-json"]);
    expect(await problem(posted(""))).toEqual([400, "malformed-json"]);
    expect(await problem(posted(new Uint8Array([0x22, 0xff, 0x22])))).toEqual([400, "malformed-json"]);
  });

  it("is counted while it comes: exactly the limit passes, one byte more does not", async () => {
    const text = JSON.stringify("x".repeat(98));
    expect(await readJson(posted(text), { bytes: 100, depth: 1 })).toHaveLength(98);
    expect(await problem(posted(`${text} `), 100)).toEqual([413, "too-large"]);
  });

  it("with half a letter in a text or a key is refused: the database could not keep it", async () => {
    expect(await problem(posted('{"note":"\\ud800"}'))).toEqual([400, "malformed-json"]);
    expect(await problem(posted('{"\\udc00":1}'))).toEqual([400, "malformed-json"]);
    expect(await readJson(posted('{"note":"\\ud83d\\ude00"}'), usualLimit)).toEqual({ note: "😀" });
  });

  it("may be as deep as its endpoint says, no deeper", async () => {
    const nested = (depth: number) => posted(`${"[".repeat(depth)}1${"]".repeat(depth)}`);
    expect(await problem(nested(4), 100, 4)).toBeNull();
    expect(await problem(nested(5), 100, 4)).toEqual([400, "malformed-json"]);
    expect(await problem(nested(100_000))).toEqual([400, "malformed-json"]);
  });

  it("that never ends is cut off, long before it is all read", async () => {
    const { body, read } = stream(1_000, 65_536);
    expect(await problem(posted(body), 1_024)).toEqual([413, "too-large"]);
    expect(read.chunks).toBeLessThan(100);
  });
});
