import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type axe from "axe-core";
import type { Page } from "playwright-core";

/** WCAG 2.2 at A and AA, as the checker's own sets of rules. */
export const wcag = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"];

/** The checker in its small form: half as long to send to a page and to read there. */
const checker = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What the checker finds wrong with a page as it stands, a line for each rule. */
export async function violationsOf(page: Page, runOnly: readonly string[]): Promise<string[]> {
  const loaded = await page.evaluate(() => "axe" in window);
  if (!loaded) await page.evaluate(`(() => { ${checker} })()`);
  return page.evaluate(async (only) => {
    const { axe: checks } = window as unknown as { axe: typeof axe };
    const result = await checks.run(document, { runOnly: [...only], resultTypes: ["violations"] });
    return result.violations.map(
      (v) =>
        `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`,
    );
  }, runOnly);
}
