import { spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { ESLint } from "eslint";
import { describe, expect, it } from "vitest";
import { imports, importsOf } from "~tests/harness/imports";

const script = (specifier: string) => `import * as thing from "${specifier}";\nexport const used = thing;\n`;

/** The floors of the house, top to bottom, rooms of one floor side by side: each imports only from those below it. */
const floors = [
  ["pages"],
  ["layouts"],
  ["islands"],
  ["workers"],
  ["server"],
  ["messages"],
  ["catalogue", "contract"],
  ["core"],
];

/** The room that a path lies in; the middleware, and what it gives to pages, belongs to them. */
const roomOf = (file: string): string => {
  const room = file.split("/")[1] ?? "";
  return ["middleware", "env.d"].includes(room) ? "pages" : room;
};
const floorOf = (file: string): number => floors.findIndex((rooms) => rooms.includes(roomOf(file)));

/** Whether a file may import another: of its own room, or of a floor below. Pages and layouts may use styles. */
function mayImport(from: string, to: string): boolean {
  if (roomOf(from) === roomOf(to)) return true;
  if (roomOf(to) === "styles") return ["pages", "layouts"].includes(roomOf(from));
  return floorOf(from) !== -1 && floorOf(from) < floorOf(to);
}

describe("an import from a higher floor fails", () => {
  it.each([
    ["src/core/dose/new-thing.ts", "~/catalogue/source"],
    ["src/core/dose/new-thing.ts", "~/server/clock"],
    ["src/core/dose/new-thing.ts", "~/contract/fields"],
    ["src/catalogue/new-thing.ts", "~/server/clock"],
    ["src/catalogue/new-thing.ts", "~/contract/fields"],
    ["src/contract/new-thing.ts", "~/catalogue/source"],
    ["src/contract/new-thing.ts", "~/messages/say"],
    ["src/messages/new-thing.ts", "~/islands/frame/outcome-shapes"],
    ["src/server/new-thing.ts", "~/islands/frame/outcome-shapes"],
    ["src/workers/new-thing.ts", "~/islands/frame/outcome-shapes"],
    ["src/islands/new-thing.tsx", "~/layouts/Page.astro"],
    ["src/islands/new-thing.tsx", "~/styles/global.css"],
    ["src/islands/new-thing.tsx", "../middleware"],
    ["src/layouts/New.astro", "~/pages/api/caseload"],
  ])("%s may not import %s", (file, specifier) => {
    const [to = ""] = importsOf(file, script(specifier));
    expect(mayImport(file, to)).toBe(false);
  });

  it.each([
    ["src/pages/new.astro", "~/server/clock"],
    ["src/contract/new-thing.ts", "~/core/schema/check"],
    ["src/messages/new-thing.ts", "~/contract/fields"],
    ["src/server/new-thing.ts", "~/core/schedule/local-day"],
    ["src/islands/new-thing.tsx", "~/messages/say"],
    ["src/islands/new-thing.tsx", "../workers/planner?worker"],
  ])("%s may import %s", (file, specifier) => {
    const [to = ""] = importsOf(file, script(specifier));
    expect(mayImport(file, to)).toBe(true);
  });

  it("no file of the house does", () => {
    const all = imports().filter(([, to]) => to.startsWith("src/"));
    expect(all.length).toBeGreaterThan(1_000);
    expect(all.filter(([from, to]) => !mayImport(from, to))).toEqual([]);
  });
});

/** Rules broken by files with these texts, as if they stood in the house, each as rule and line. */
function broken(file: string, lines: readonly string[]): string[] {
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-lint-"));
  try {
    copyFileSync(".oxlintrc.json", path.join(folder, ".oxlintrc.json"));
    mkdirSync(path.dirname(path.join(folder, file)), { recursive: true });
    writeFileSync(path.join(folder, file), lines.join("\n"));
    const { stdout } = spawnSync(path.resolve("node_modules/.bin/oxlint"), ["--format", "unix", file], {
      cwd: folder,
      encoding: "utf8",
    });
    return [...stdout.matchAll(/:(\d+):\d+: .*\[Error\/(.*)\]$/gm)].map(
      ([, line, rule]) => `${line} ${rule}`,
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}

// OWASP ASVS 5 3.2.2.
describe("text is put in as text, never as HTML", () => {
  it("not by React, not by the page's own tree", () => {
    const lines = [
      "export const Thing = ({ said }: { said: string }) => <p dangerouslySetInnerHTML={{ __html: said }} />;",
      "export const put = (box: Element, said: string) => {",
      "  box.innerHTML = said;",
      "  box.outerHTML = said;",
      '  box.insertAdjacentHTML("beforeend", said);',
      "};",
    ];
    expect(broken("src/islands/new-thing.tsx", lines).sort()).toEqual([
      "1 react(no-danger)",
      "3 eslint(no-restricted-properties)",
      "4 eslint(no-restricted-properties)",
      "5 eslint(no-restricted-properties)",
    ]);
  });

  it("not by a page", async () => {
    const text = "---\nconst said = '';\n---\n<p set:html={said} />\n";
    const [result] = await new ESLint().lintText(text, { filePath: "src/pages/new.astro" });
    expect(result?.messages.map(({ ruleId }) => ruleId)).toContain("astro/no-set-html-directive");
  });
});

describe("the core has no interface, no input and output, no clock and no chance", () => {
  it.each(["node:fs", "react", "astro", "mysql2/promise", "astro:middleware"])(
    "may not import %s",
    (specifier) => {
      expect(broken("src/core/dose/new-thing.ts", [script(specifier)])).toContain(
        "1 eslint(no-restricted-imports)",
      );
    },
  );
  it.each([
    ["Date.now()", "no-restricted-properties"],
    ["Math.random()", "no-restricted-properties"],
    ["process.env", "no-restricted-globals"],
    ["Object.assign({}).innerHTML", "no-restricted-properties"],
  ])("may not use %s", (expression, rule) => {
    expect(broken("src/core/dose/new-thing.ts", [`export const used = ${expression};`])).toContain(
      `1 eslint(${rule})`,
    );
  });
});
