import { readFileSync, readdirSync } from "node:fs";
import { expect, it } from "vitest";
import { hasWord } from "./words";
import { sayAct } from "./say-act";

it("an act is told in words; one without words by its name", () => {
  expect(sayAct("void-session")).toBe("voided a session");
  expect(sayAct("sign-in-failed")).toBe("tried to sign in, with a wrong password or code");
  expect(sayAct("something-quite-new")).toBe("something quite new");
});

it("everything that is written into the log is told in words", () => {
  const sources = readdirSync("src/server", { recursive: true, encoding: "utf8" })
    .filter((name) => name.endsWith(".ts"))
    .map((name) => readFileSync(`src/server/${name}`, "utf8"));
  const acts = sources.flatMap((text) =>
    [...text.matchAll(/(?:noteRead\([^)]*?|action: )"([a-z-]+)"/g)].map(([, act = ""]) => act),
  );
  expect(acts.length).toBeGreaterThan(10);
  expect(acts.filter((act) => !hasWord(`act.${act}`))).toEqual([]);
});
