import type { Page } from "playwright-core";
import { pick, visit } from "./browser";

/** Types one quick line and takes it; fails when it is not understood. */
export async function quickLine(page: Page, line: string): Promise<void> {
  const box = page.getByTestId("quick-line");
  await box.getByLabel("Quick line").fill(line);
  await box.getByText("Reads as").waitFor();
  await page.keyboard.press("Enter");
  await box.getByText("noted").waitFor();
}

/** Records a whole session by quick lines, and goes to the stair. @returns the text of the summary */
export async function recordByLines(
  page: Page,
  stairUrl: string,
  painBefore: number,
  lines: readonly string[],
): Promise<string> {
  const form = `${stairUrl}/session`;
  if (page.url() !== form) await visit(page, form);
  await pick(page, "Pain before, at the site", painBefore);
  for (const line of lines) await quickLine(page, line);
  await page.getByRole("button", { name: "Record the session" }).click();
  await page.getByTestId("session-summary").waitFor();
  const said = await page.getByTestId("session-summary").innerText();
  await visit(page, stairUrl);
  return said;
}
