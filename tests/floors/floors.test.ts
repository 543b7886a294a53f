import { ESLint } from "eslint";
import { describe, expect, it } from "vitest";

const eslint = new ESLint();

/** Rules broken by a file with this text, as if it stood at this path. */
async function broken(filePath: string, text: string): Promise<string[]> {
  const [result] = await eslint.lintText(text, { filePath });
  return (result?.messages ?? []).map((message) => message.ruleId ?? message.message);
}

const script = (specifier: string) => `import * as thing from "${specifier}";\nexport const used = thing;\n`;
const page = (specifier: string) =>
  `---\nimport * as thing from "${specifier}";\nconst used = thing;\n---\n<p>{String(used)}</p>\n`;
const boundary = "boundaries/dependencies";

describe("lint keeps the floors: an import from a higher floor fails", () => {
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
    ["src/islands/new-thing.tsx", "../middleware"],
  ])("%s may not import %s", async (file, specifier) => {
    expect(await broken(file, script(specifier))).toContain(boundary);
  });

  it("sees pages and layouts written in Astro too", async () => {
    expect(await broken("src/layouts/New.astro", page("~/pages/api/caseload"))).toContain(boundary);
    expect(await broken("src/pages/new.astro", page("~/server/clock"))).not.toContain(boundary);
  });

  it("lets every floor use those below it", async () => {
    expect(await broken("src/contract/new-thing.ts", script("~/core/schema/check"))).toEqual([]);
    expect(await broken("src/messages/new-thing.ts", script("~/contract/fields"))).toEqual([]);
    expect(await broken("src/server/new-thing.ts", script("~/core/schedule/local-day"))).toEqual([]);
    expect(await broken("src/islands/new-thing.tsx", script("~/messages/say"))).not.toContain(boundary);
  });
});

// OWASP ASVS 5 3.2.2.
describe("text is put in as text, never as HTML", () => {
  it.each([
    [
      "src/islands/new-thing.tsx",
      "export const Thing = ({ said }: { said: string }) => <p dangerouslySetInnerHTML={{ __html: said }} />;\n",
      "no-restricted-syntax",
    ],
    [
      "src/islands/new-thing.tsx",
      "export const put = (box: Element, said: string) => {\n  box.innerHTML = said;\n};\n",
      "no-restricted-syntax",
    ],
    [
      "src/pages/new.astro",
      "---\nconst said = '';\n---\n<p set:html={said} />\n",
      "astro/no-set-html-directive",
    ],
  ])("%s may not say %j", async (file, text, rule) => {
    expect(await broken(file, text)).toContain(rule);
  });
});

describe("the core has no interface, no input and output, no clock and no chance", () => {
  it.each(["node:fs", "react", "astro", "mysql2/promise", "astro:middleware"])(
    "may not import %s",
    async (specifier) => {
      expect(await broken("src/core/dose/new-thing.ts", script(specifier))).toContain(
        "no-restricted-imports",
      );
    },
  );
  it.each([
    ["Date.now()", "no-restricted-properties"],
    ["Math.random()", "no-restricted-properties"],
    ["process.env", "no-restricted-globals"],
  ])("may not use %s", async (expression, rule) => {
    expect(await broken("src/core/dose/new-thing.ts", `export const used = ${expression};\n`)).toContain(
      rule,
    );
  });
});
