import type { Page } from "playwright-core";
import { expect, it } from "vitest";
import { awake, openStair, phone, signIn, visit } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

const figure = (page: Page) => page.getByTestId("figure").first();
const outline = (page: Page, part: string) =>
  figure(page).locator(`g[data-part="${part}"] path`).first().getAttribute("d");

it("by keyboard alone: l, a word, down, Enter: an exercise in four strokes and a word", async () => {
  const { page } = at.person;
  await visit(page, "/");
  await page.keyboard.press("l");
  await page.waitForURL("**/library");
  await awake(page);
  await page.keyboard.press("/");
  await page.keyboard.type("zzzz");
  await page.getByText("Nothing fits").waitFor();
  await page.keyboard.press("Control+A");
  await page.keyboard.type("small rebounds");
  await page.getByTestId("library-count").getByText("1 exercise,").waitFor();
  await page.keyboard.press("ArrowDown");
  expect(await page.evaluate(() => document.activeElement?.getAttribute("data-testid"))).toBe(
    "entry-rebounds",
  );
  await page.keyboard.press("Enter");
  await page.waitForURL("**/library/rebounds*");
  await awake(page);
  expect(await page.locator("h1").innerText()).toBe("Small rebounds and hops");
});

it("arrows move among the cards by rows and columns, and back to the search", async () => {
  const { page } = at.person;
  await visit(page, "/library");
  const focused = () => page.evaluate(() => document.activeElement?.getAttribute("data-testid"));
  await page.keyboard.press("/");
  await page.keyboard.press("ArrowDown");
  const first = await focused();
  await page.keyboard.press("ArrowRight");
  const second = await focused();
  await page.keyboard.press("ArrowDown");
  const below = await focused();
  expect(new Set([first, second, below]).size).toBe(3);
  await page.keyboard.press("ArrowUp");
  expect(await focused()).toBe(second);
  await page.keyboard.press("ArrowUp");
  expect(await page.evaluate(() => document.activeElement?.tagName)).toBe("INPUT");
});

it("filters narrow, stand in the address, and come back with it", async () => {
  const { page } = at.person;
  await visit(page, "/library");
  await page.getByRole("combobox", { name: "Lane", exact: true }).selectOption("adductors");
  await page.getByRole("combobox", { name: "Position", exact: true }).selectOption("side-lying");
  await page.getByTestId("library-count").getByText("1 exercise,").waitFor();
  expect(new URL(page.url()).searchParams.get("lane")).toBe("adductors");
  await page.reload();
  await awake(page);
  expect(await page.getByTestId("cards").getByRole("link").count()).toBe(1);
  await page.getByRole("button", { name: "Clear filters" }).click();
  await page
    .getByTestId("library-count")
    .getByText(/11\d exercises/)
    .waitFor();
});

it("an address that asks what does not exist shows the whole library", async () => {
  const { page } = at.person;
  await visit(page, "/library?lane=tail");
  expect(new URL(page.url()).search).toBe("");
  await page
    .getByTestId("library-count")
    .getByText(/11\d exercises/)
    .waitFor();
});

it("ordered by activity: mean, deviation, the 40 % line, and what the study left out", async () => {
  const { page } = at.person;
  await visit(page, "/library?activity=gluteus-medius");
  const first = page.getByTestId("cards").getByRole("link").first();
  expect(await first.innerText()).toMatch(
    /Side-lying leg lift[\s\S]*81 % ± 42[\s\S]*above 40 %[\s\S]*Left out:/,
  );
  expect(await page.getByTestId("cards").getByText("Not in these studies").count()).toBeGreaterThan(50);
});

it("a knob turned changes the figure, the minutes and, where it is another variant, the place on the run", async () => {
  const { page } = at.person;
  await page.emulateMedia({ reducedMotion: "reduce" });
  await visit(page, "/library/single-leg-squat");
  expect(await figure(page).locator("svg.figure").count()).toBe(2);
  const before = await outline(page, "block0.side");
  await page.getByRole("combobox", { name: "box height", exact: true }).selectOption("45");
  await expect.poll(() => outline(page, "block0.side")).not.toBe(before);
  expect(await page.getByTestId("run").locator("[aria-current=step]").innerText()).toContain(
    "hands on a table",
  );
  await page.getByRole("combobox", { name: "box height", exact: true }).selectOption("55");
  await page.getByRole("combobox", { name: "support", exact: true }).selectOption("fingertips");
  await page.getByTestId("run").locator("[aria-current=step]").getByText("fingertips").waitFor();
  const trunk = await outline(page, "trunk");
  await page.getByLabel("Height, cm").fill("150");
  await expect.poll(() => outline(page, "trunk")).not.toBe(trunk);
});

it("a height nobody has is refused in words; a position a body cannot take is not drawn", async () => {
  const { page } = at.person;
  const drawn = await outline(page, "trunk");
  await page.getByLabel("Height, cm").fill("260");
  await page.getByRole("alert").getByText("from 100 to 240 cm").waitFor();
  expect(await outline(page, "trunk")).toBe(drawn);
  await visit(page, "/library/knee-to-wall");
  await page.getByRole("combobox", { name: "reach", exact: true }).selectOption("12");
  await figure(page).waitFor();
  await page.getByLabel("Height, cm").fill("100");
  await page
    .getByTestId("no-figure")
    .getByText(/^Cannot be drawn: .+\.$/)
    .waitFor();
  await page.getByLabel("Height, cm").fill("170");
  await figure(page).waitFor();
});

it("moves at its tempo where motion is welcome, stops when told, and stands still on paper", async () => {
  const { page } = at.person;
  await page.emulateMedia({ reducedMotion: "no-preference" });
  await visit(page, "/library/bridge");
  const shape = await outline(page, "trunk");
  await expect.poll(() => outline(page, "trunk"), { timeout: 5000 }).not.toBe(shape);
  await page.getByRole("button", { name: "Stop the figure" }).click();
  expect(await figure(page).locator("svg.figure").count()).toBe(2);
  await page.getByRole("button", { name: "Move the figure" }).click();
  await page.emulateMedia({ media: "print" });
  expect(await figure(page).locator("svg.figure:visible").count()).toBe(2);
  await page.emulateMedia({ media: "screen", reducedMotion: "reduce" });
});

it("two variants stand side by side with where they differ", async () => {
  const { page } = at.person;
  await visit(page, "/library/two-leg-squat?variant=squat-free");
  await page.getByRole("combobox", { name: "Compare with", exact: true }).selectOption("touch-down");
  const table = page.getByRole("table", { name: "Side by side" });
  await table.waitFor();
  expect(await table.getByTestId("figure").count()).toBe(2);
  expect(await table.getByRole("row", { name: /legs.*differs/ }).innerText()).toContain("single");
  // It is in the address: loaded again, it stands there.
  expect(new URL(page.url()).searchParams.get("with")).toBe("touch-down");
  await visit(page, page.url());
  await table.waitFor();
  await page.getByRole("combobox", { name: "Compare with", exact: true }).selectOption("");
  expect(new URL(page.url()).searchParams.get("with")).toBeNull();
});

it("from a patient's lane: filtered to the patient, with what was left out and why, and into the plan", async () => {
  const { page } = at.person;
  await openStair(page, "Stanhope");
  await page.getByTestId("lanes").getByRole("link", { name: "Balance" }).click();
  await page.waitForURL("**/library?lane=balance");
  await awake(page);
  expect(await page.locator("h1").innerText()).toBe("Mirela Stanhope");
  expect(await page.getByRole("heading", { level: 2 }).first().innerText()).toBe(
    "Library for this patient, stage Build",
  );
  await page.getByTestId("filters").getByRole("combobox", { name: "Lane", exact: true }).selectOption("");
  const reason = page.getByTestId("left-out").locator("summary").first();
  await reason.waitFor();
  expect(await reason.innerText()).toMatch(/\w.* \(\d+\)$/);
  await page.getByRole("combobox", { name: "Lane", exact: true }).selectOption("balance");
  await page.getByTestId("entry-three-way-reach").click();
  await page.waitForURL("**/library/three-way-reach*");
  await awake(page);
  await page.getByRole("button", { name: "Add to the plan of Mirela Stanhope" }).click();
  await page.getByRole("status").getByText("Added to the plan.").waitFor();
  await page.goBack();
  await awake(page);
  await page.getByTestId("entry-three-way-reach").getByText("in the plan").waitFor();
});

it("the clinic's own exercise: faults stand at their field; it borrows a figure and is found", async () => {
  const { page } = at.person;
  await visit(page, "/library/new?from=clam");
  await page.getByRole("button", { name: "Save" }).click();
  const name = page.getByRole("textbox", { name: /^Name/ }).first();
  expect(await name.locator("..").innerText()).toContain("is needed");
  await name.fill("Clam at the wall bars");
  await page
    .getByRole("combobox", { name: "Figure borrowed from", exact: true })
    .selectOption("side-lying-lift");
  await page.getByRole("button", { name: "Save" }).click();
  await page.waitForURL("**/library/clam-at-the-wall-bars");
  await awake(page);
  await figure(page).waitFor();
  expect(await page.locator("h1").innerText()).toBe("Clam at the wall bars");
  await page.getByRole("link", { name: "Edit" }).click();
  await page.waitForURL("**/edit");
  await awake(page);
  await page.getByRole("textbox", { name: /^Felt in/ }).fill("outside of the hip");
  const sets = page.getByRole("textbox", { name: /^Sets, / }).first();
  await sets.fill("many");
  await page.getByRole("button", { name: "Save" }).click();
  await page.getByText("Sets: a whole number from 1 to 20").waitFor();
  expect(await sets.evaluate((input) => input === document.activeElement)).toBe(true);
  await sets.fill("5");
  await page.getByRole("button", { name: "Save" }).click();
  await page.waitForURL("**/library/clam-at-the-wall-bars");
  await page.getByText("outside of the hip").waitFor();
  await page.getByText(/^5 × /).first().waitFor();
});

it("by touch on a phone: filters open, a card opens, a knob turns", async () => {
  const context = await at.browser.newContext({
    baseURL: at.url,
    viewport: phone,
    hasTouch: true,
    isMobile: true,
    reducedMotion: "reduce",
  });
  const page = await context.newPage();
  await signIn(page);
  await visit(page, "/library");
  await page.getByRole("button", { name: "Filters" }).tap();
  await page.getByRole("combobox", { name: "Lane", exact: true }).selectOption("calf");
  await page.getByTestId("entry-calf-raise").tap();
  await page.waitForURL("**/library/calf-raise*");
  await awake(page);
  const before = await outline(page, "w.foot");
  await page.getByRole("combobox", { name: "heel or foot raised", exact: true }).selectOption("both-feet");
  await expect.poll(() => outline(page, "w.foot")).not.toBe(before);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
  await context.close();
});
