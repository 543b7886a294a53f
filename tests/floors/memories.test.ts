import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { sources } from "~tests/harness/imports";

/** What begins a memory of a process: a variable of a file, a map that begins empty, or one that keeps the newest alone. */
const memory =
  /^(?:export )?(?:let \w+|const \w+(?:: [^=]+)? = new (?:LRUCache|Map|Set)(?:<.*>)?\((?:\)|\{))/m;

/** Files that remember something, and none of it is of the database. */
const ofNothingKept: Readonly<Record<string, string>> = {
  "src/server/auth/password.ts": "a hash of no password, to take as long with nobody's",
  "src/server/auth/sign-in-limit.ts": "how tries are counted; the counts stand in the database",
  "src/server/case/body-of.ts": "what is calculated from a whole text, under that text",
  "src/server/db/connection.ts": "the connections themselves",
  "src/server/duty/heartbeat.ts": "whether it beats",
  "src/server/solve/in-slices.ts": "how much is being worked out, and whose turn it is",
  "src/server/solve/solver-thread.ts": "how many threads are at work",
};

/** Files of the server that remember something and do not say how it is forgotten. */
const rememberingFor = (files: readonly (readonly [name: string, text: string])[]): string[] =>
  files.filter(([, text]) => memory.test(text) && !/^forgottenBy\(/m.test(text)).map(([name]) => name);

describe("what a process remembers of the database can be forgotten", () => {
  it.each([
    ["let last = 0;"],
    ["export let last: string | undefined;"],
    ["const kept = new Map<string, Map<string, number>>();"],
    ["const kept: Map<string, number> = new Map();"],
    ["const seen = new Set<string>();"],
    ["const known = new LRUCache<string, readonly string[]>({ max: 20 });"],
  ])("a memory that cannot be is found: %s", (line) => {
    expect(rememberingFor([["new-thing.ts", `import x from "x";\n${line}\n`]])).toEqual(["new-thing.ts"]);
    expect(rememberingFor([["new-thing.ts", `${line}\nforgottenBy(() => undefined);\n`]])).toEqual([]);
  });

  it("a table that never changes is none, nor what lasts as long as a call", () => {
    const lines =
      'const codes = new Set(["a"]);\nfunction f() {\n  const seen = new Set<string>();\n  let n = 0;\n}\n';
    expect(rememberingFor([["new-thing.ts", lines]])).toEqual([]);
  });

  it("every file of the server says how, or remembers nothing of it", () => {
    const files = sources().filter((name) => /^src\/(server|middleware)\//.test(name));
    expect(files.length).toBeGreaterThan(200);
    const found = rememberingFor(files.map((name) => [name, readFileSync(name, "utf8")] as const));
    expect(found.sort()).toEqual(Object.keys(ofNothingKept).sort());
  });
});
