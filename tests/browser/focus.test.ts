import type { Page } from "playwright-core";
import { beforeAll, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { nextFrames, phone, tablet, visit } from "~tests/harness/browser";

/** Where the focus goes, and that it is seen: WCAG 2.2, 2.4.3 and 2.4.11. */
const at = atBrowser();
let stair = "";
beforeAll(async () => {
  stair = (await at.person.page.getByRole("link", { name: /Stanhope/ }).getAttribute("href")) ?? "";
});

/** What the focus is on: what it is called, and whether anything of it is to be seen at one of nine places. In the page. */
function focusSeen(): { what: string; seen: boolean } {
  const own = document.activeElement as HTMLElement;
  const shown = own.matches("input.sr-only") ? (own.parentElement as HTMLElement) : own;
  const { left, top, width, height } = shown.getBoundingClientRect();
  const places = [0.1, 0.5, 0.9].flatMap((x) =>
    [0.1, 0.5, 0.9].map((y) => [left + x * width, top + y * height] as const),
  );
  const seen = places.some(([x, y]) => {
    const there = document.elementFromPoint(x, y);
    return there !== null && (shown.contains(there) || there.contains(shown));
  });
  return { what: `${own.tagName} ${own.getAttribute("aria-label") ?? own.textContent?.slice(0, 40)}`, seen };
}

/** Tabs through a page. @returns what had the focus while nothing of it was to be seen */
async function hiddenStops(page: Page, most: number): Promise<string[]> {
  const hidden: string[] = [];
  for (let n = 0; n < most; n += 1) {
    await page.keyboard.press("Tab");
    await nextFrames(page);
    const { what, seen } = await page.evaluate(focusSeen);
    if (!seen) hidden.push(what);
  }
  return hidden;
}

it.each(["/session", "/plan", "/measures", "", "/gate"])(
  "2.4.11: on a phone no bar hides the whole of what has the focus (%s)",
  async (view) => {
    const { page } = at.person;
    await page.setViewportSize(phone);
    await visit(page, `${stair}${view}`);
    const hidden = await hiddenStops(page, 40);
    await page.setViewportSize(tablet);
    expect(hidden).toEqual([]);
  },
);

it("2.4.11: nor does the strip below an intake", async () => {
  const { page } = at.person;
  await page.setViewportSize(phone);
  await visit(page, "/intake");
  const hidden = await hiddenStops(page, 45);
  await page.setViewportSize(tablet);
  expect(hidden).toEqual([]);
});

it("2.4.3: the order of the focus is the order of the page, column by column", async () => {
  const { page } = at.person;
  await visit(page, "/intake");
  await page.getByRole("button", { name: "None of these" }).click();
  const names: string[] = [];
  for (let n = 0; n < 16; n += 1) {
    names.push(await page.evaluate(() => document.activeElement?.getAttribute("name") ?? ""));
    await page.keyboard.press("Tab");
  }
  const order = [
    "givenName",
    "familyName",
    "bornOn",
    "activity",
    "contact",
    "referrer",
    "normGroup",
    "consent",
    "pathway",
    "involvedSide",
    "diagnosis",
  ];
  expect([...new Set(names)].slice(0, order.length)).toEqual(order);
});
