import { expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { openStair, visit } from "~tests/harness/browser";

/** What newcomers met and did not understand: each of these sentences or places was wrong once. */
const at = atBrowser();

it("a stage that is looked at shows its own lanes and what its gate asks for, not the present one's", async () => {
  const { page } = at.person;
  await openStair(page, "Holloway");
  const gate = page.locator("#gate");
  const present = await gate.innerText();
  await page.getByRole("button", { name: "1 Protect" }).click();
  const other = page.getByTestId("other-stage");
  await other.waitFor();
  expect(await gate.count()).toBe(0);
  expect(await other.innerText()).not.toContain("Side hops");
  await page.getByRole("button", { name: "Back to their own stage: Load and spring" }).click();
  expect(await gate.innerText()).toBe(present);
});

it("under a proposal that nobody has signed no signature seems to stand", async () => {
  const { page } = at.person;
  await openStair(page, "Holloway");
  const last = page.getByTestId("last-decision").first();
  expect(await last.innerText()).toMatch(/^Not signed yet\. The proposal before this one was accepted by/);
  await page.getByRole("button", { name: "Sign", exact: true }).first().click();
  await page
    .getByTestId("last-decision")
    .getByText(/^Accepted by Jorun Vask/)
    .first()
    .waitFor();
});

it("a refusal that comes too late is told, and what stands now is shown", async () => {
  const { page, context } = at.person;
  await openStair(page, "Stanhope");
  const other = await context.newPage();
  await visit(other, page.url());
  await page.getByRole("button", { name: "Refuse" }).first().click();
  await page.getByRole("textbox", { name: /Reason/ }).fill("She slept badly");
  await other.getByRole("button", { name: "Sign", exact: true }).first().click();
  await other
    .getByTestId("last-decision")
    .getByText(/^Accepted by/)
    .first()
    .waitFor();
  await other.close();
  await page.getByRole("button", { name: "Sign the refusal" }).click();
  const told = page.getByRole("alert");
  await told.getByText(/^Somebody was faster\. Nothing of yours was signed/).waitFor();
  expect(await told.innerText()).toContain("You had written: ‘She slept badly’");
  at.person.complaints.splice(0);
});

it("an open gate that is tapped twice is signed once, and says so", async () => {
  const { page } = at.person;
  await openStair(page, "Falkenrath");
  await visit(page, `${page.url()}/gate`);
  const moves = await page.getByTestId("moves").locator("li").count();
  await page.getByRole("button", { name: /^Sign: on to/ }).dblclick();
  await page
    .getByTestId("moves")
    .getByText(/^Through the gate to/)
    .first()
    .waitFor();
  expect(await page.getByTestId("moves").locator("li").count()).toBe(moves + 1);
  expect(await page.locator("main").innerText()).not.toMatch(/[Nn]othing (of yours )?was signed/);
});

it("a quick line for an exercise that is noted already says that it takes its place", async () => {
  const { page } = at.person;
  await openStair(page, "Darrow");
  await visit(page, `${page.url()}/session`);
  const box = page.getByTestId("quick-line");
  const line = box.getByLabel("Quick line");
  await line.fill("5x10s 110n p1 e6");
  await box.getByText("Reads as").waitFor();
  expect(await box.innerText()).not.toContain("takes its place");
  await page.keyboard.press("Enter");
  await box.getByText(/noted\.$/).waitFor();
  await line.fill("5x10s 95n p1 e6");
  await box.getByText(/is noted already: this takes its place\.$/).waitFor();
});
