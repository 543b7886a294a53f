import axe from "axe-core";
import type { Page } from "playwright-core";

/** WCAG 2.2 at A and AA, as the checker's own sets of rules. */
export const wcag = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"];

/** What the checker finds wrong with a page as it stands, a line for each rule. */
export async function violationsOf(page: Page, runOnly: readonly string[]): Promise<string[]> {
  await page.evaluate(`(() => { ${axe.source} })()`);
  return page.evaluate(async (only) => {
    const checker = (window as unknown as { axe: typeof axe }).axe;
    const result = await checker.run(document, { runOnly: [...only], resultTypes: ["violations"] });
    return result.violations.map(
      (v) =>
        `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`,
    );
  }, runOnly);
}
