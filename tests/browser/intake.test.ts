import type { Page } from "playwright-core";
import { expect, it } from "vitest";
import { demoClinic } from "~demo/clinic";
import { awake, openStair, visit } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

const open = (page: Page) => visit(page, "/intake");
const noFlags = (page: Page) => page.getByRole("button", { name: "None of these" }).click();
const propose = (page: Page) => page.getByRole("button", { name: "Propose stage and plan" }).click();
const sign = async (page: Page) => {
  await page.getByRole("button", { name: "Sign stage and plan" }).click();
  await page.waitForURL("**/episodes/*");
  await awake(page);
};
const fault = (page: Page, field: string) =>
  page.getByLabel(field).evaluate((input) => ({
    invalid: input.getAttribute("aria-invalid"),
    says: document.getElementById(input.getAttribute("aria-describedby") ?? "")?.textContent,
  }));

/**
 * Types where the focus is. Dates have day and month alike, since their order is the browser's own, and need a second Tab:
 * the first goes to the calendar button.
 */
async function type(page: Page, ...words: string[]): Promise<void> {
  for (const word of words) {
    await page.keyboard.type(word);
    await page.keyboard.press("Tab");
    if (/^\d{8}$/.test(word)) await page.keyboard.press("Tab");
  }
}

it("a simple case goes in by keyboard alone, in under 200 keys, is resumed elsewhere and signed", async () => {
  const { page, context } = at.person;
  await open(page);
  let keys = 0;
  await page.exposeFunction("countKey", () => (keys += 1));
  await page.evaluate(() =>
    addEventListener("keydown", () => (window as unknown as { countKey: () => void }).countKey()),
  );
  await page.getByRole("button", { name: "None of these" }).focus();
  await page.keyboard.press("Enter");
  // The next question has the focus; a machine types sooner than a hand.
  await page.getByLabel("Given name").and(page.locator(":focus")).waitFor();
  await type(page, "Sunniva", "Testholm");
  await type(page, "03031988", "Cook", "ring first", "Dr Ashgrove", "");
  await page.keyboard.press("Space");
  await page.keyboard.press("Tab");
  const kept = page.waitForResponse((response) =>
    (response.request().postData() ?? "").includes("Pain on stairs"),
  );
  await type(page, "Kneecap", "L", "Pain on stairs");
  expect((await kept).status()).toBe(201);
  await page.getByText(/^Kept (?!as)/).waitFor();

  const elsewhere = await context.newPage();
  await open(elsewhere);
  await elsewhere
    .getByTestId("drafts")
    .getByRole("button", { name: /^Sunniva Testholm/ })
    .click();
  expect(await elsewhere.getByLabel("Born on").inputValue()).toBe("1988-03-03");
  expect(await elsewhere.getByLabel("Injured side").inputValue()).toBe("left");
  await elsewhere.close();

  await type(page, "02022026");
  // Nothing lacks any more: the proposal is there without being asked for, and grows with what is added.
  await page.getByTestId("placing").waitFor();
  await page.getByLabel("Own task 1").focus();
  await type(page, "Carry pots upstairs", "4");
  await page.getByRole("button", { name: "Sign stage and plan" }).and(page.locator(":enabled")).waitFor();
  expect(keys).toBeLessThan(200);
  expect(await page.getByTestId("placing-reasons").innerText()).not.toBe("");
  await sign(page);
  expect(await page.locator("h1").innerText()).toBe("Sunniva Testholm");
  expect(await page.getByText("Pain on stairs").innerText()).toContain("left");
  const episode = page.url().split("/").at(-1) ?? "";
  const identity = await context.request.get(`/api/episodes/${episode}/person`);
  expect(JSON.stringify(await identity.json())).toContain("ring first");
  await visit(page, `/episodes/${episode}/document?kind=handover-letter`);
  expect(await page.locator("textarea").inputValue()).toContain("To: Dr Ashgrove");
  await open(page);
  expect(await page.getByRole("button", { name: /^Sunniva Testholm/ }).count()).toBe(0);
});

it("an operated knee: faults are said at their field, a red flag ends it, the limit stands in the plan", async () => {
  const { page } = at.person;
  await open(page);
  await noFlags(page);
  await page.getByLabel("Given name").fill("Aldous");
  await page.getByLabel("Family name").fill("Testmere");
  await page.getByLabel("Born on").fill("2001-07-19");
  await page.getByLabel("Sport or work").fill("Handball");
  await page.getByLabel("Pathway").selectOption("ligament-reconstruction");
  await page.getByLabel("What happened, as referred").fill("Cruciate ligament, landing");
  await page.getByLabel("Since").fill("2026-01-10");
  await page.getByLabel("Operated on").fill("2026-02-24");
  await page.getByLabel("Procedure").selectOption("cruciate ligament reconstruction");
  await page.getByRole("button", { name: "Add a limit" }).click();
  await page.getByLabel("From", { exact: true }).fill("2026-04-01");
  await page.getByLabel("Until").fill("2026-03-26");
  await page.getByLabel("Wants to be ready on").fill("2026-03-01");
  await page.getByLabel("Own task 1").fill("Jump for the ball");
  await page.getByLabel("Now, 0–10").fill("1");
  await page.getByLabel("Agrees").check();
  await propose(page);
  await page.getByRole("alert").waitFor();
  expect((await fault(page, "Injured side")).invalid).toBe("true");
  expect(await page.getByTestId("still-needed").innerText()).toBe("Injured side");

  await page.getByLabel("Injured side").selectOption("right");
  await propose(page);
  await page.getByText("ends before it starts").first().waitFor();
  expect(await fault(page, "Until")).toEqual({ invalid: "true", says: "ends before it starts" });
  expect((await fault(page, "Graft")).says).toContain("the weeks depend on it");
  expect((await fault(page, "Wants to be ready on")).says).toBe("lies in the past");
  expect(await page.getByLabel("Sport or work").inputValue()).toBe("Handball");

  await page.getByLabel("From", { exact: true }).fill("");
  await page.getByLabel("Graft").selectOption("hamstring");
  await page.getByLabel("Wants to be ready on").fill("2027-02-01");
  await page.getByTestId("placing").waitFor();
  await page.getByRole("button", { name: "Ask again" }).click();
  await page.getByLabel("Calf hot, swollen, tender").check();
  // At once, and nothing is proposed or asked for any more.
  const flag = page.getByTestId("red-flag-note");
  await flag.getByText(demoClinic.calls["same-day"]).waitFor();
  expect(await flag.innerText()).toMatch(/To a doctor today\s+Calf hot, swollen, tender/);
  expect(await page.getByTestId("placing").count()).toBe(0);
  expect(await page.getByRole("button", { name: "Propose stage and plan" }).isDisabled()).toBe(true);

  await page.getByLabel("Calf hot, swollen, tender", { exact: true }).uncheck();
  await page.getByLabel(/Why it is not so after all/).fill("Ticked in the wrong line");
  await noFlags(page);
  await page.getByTestId("placing").waitFor();
  at.person.complaints.splice(0);
  await sign(page);
  expect(await page.locator("main").innerText()).toContain("knee bend to 90°");
});

it("without a connection it says that nothing is kept, and keeps and proposes once there is one again", async () => {
  const { page, context } = at.person;
  await open(page);
  await noFlags(page);
  await page.getByLabel("Given name").fill("Ylva");
  await page.getByText(/^Kept (?!as)/).waitFor();
  await context.setOffline(true);
  await page.getByLabel("Family name").fill("Testgard");
  await page.getByText(/^What was typed since .* is not kept yet/).waitFor();
  await page.getByLabel("Born on").fill("1991-05-05");
  await page.getByLabel("Sport or work").fill("Weaver");
  await page.getByLabel("Agrees").check();
  await page.getByLabel("Pathway").selectOption("kneecap-pain");
  await page.getByLabel("Injured side").selectOption("left");
  await page.getByLabel("What happened, as referred").fill("Pain on stairs");
  await page.getByLabel("Since").fill("2026-02-02");
  await page.getByText("Nothing can be proposed yet:").waitFor();
  await context.setOffline(false);
  await page.getByText(/^Kept (?!as)/).waitFor();
  await page.getByRole("button", { name: "Sign stage and plan" }).and(page.locator(":enabled")).waitFor();
  const drafts = await context.request.get("/api/intakes/drafts");
  expect(JSON.stringify(await drafts.json())).toContain('"Ylva Testgard"');
  // Gone on with elsewhere it is whole, and proposed for at once.
  const elsewhere = await context.newPage();
  await open(elsewhere);
  await elsewhere
    .getByTestId("drafts")
    .getByRole("button", { name: /^Ylva Testgard/ })
    .click();
  await elsewhere
    .getByRole("button", { name: "Sign stage and plan" })
    .and(elsewhere.locator(":enabled"))
    .waitFor();
  await elsewhere.close();
  // The browser itself complains of every call that found no connection.
  at.person.complaints.splice(0);
});

it("another problem of somebody known asks for no name and stands under theirs", async () => {
  const { page } = at.person;
  await openStair(page, "Holloway");
  const name = await page.locator("h1").innerText();
  await page.getByRole("link", { name: /Another problem/ }).click();
  await page.waitForURL("**/intake?beside=*");
  await awake(page);
  expect(await page.getByLabel("Family name").count()).toBe(0);
  await noFlags(page);
  expect(await page.getByLabel("Agrees").evaluate((own) => own === document.activeElement)).toBe(true);
  await page.getByLabel("Pathway").selectOption("ankle-and-calf");
  await page.getByLabel("Injured side").selectOption("left");
  await page.getByLabel("What happened, as referred").fill("Ankle turned");
  await page.getByLabel("Since").fill("2026-02-20");
  await page.getByLabel("Own task 1").fill("Hop off the bus");
  await page.getByLabel("Now, 0–10").fill("3");
  await page.getByLabel("Agrees").check();
  await page.getByTestId("placing").waitFor();
  await sign(page);
  expect(await page.locator("h1").innerText()).toBe(name);
});

it("somebody who is known is noticed before they are taken in twice", async () => {
  await visit(at.page, "/intake");
  await at.page.getByLabel("Family name").fill("holloway");
  await at.page.getByLabel("Born on").fill("1998-01-01");
  await at.page.getByLabel("Given name").fill("Casimir");
  expect(await at.page.getByTestId("same-person").count()).toBe(0);
  await at.page.getByLabel("Born on").fill("1997-01-01");
  const known = at.page.getByTestId("same-person");
  await known.getByText(/Casimir Holloway, born 1997 · Adductor strain, second time in two years/).waitFor();
  await known.getByRole("link", { name: "Yes: take in another problem of theirs" }).first().click();
  await at.page.waitForURL("**/intake?beside=*");
  await awake(at.page);
  expect(await at.page.locator("main").innerText()).toContain("Casimir Holloway");
});

it("an intake that was begun is thrown away, and back by a tap until the next act", async () => {
  await visit(at.page, "/intake");
  const saved = at.page.waitForResponse("**/api/intakes/drafts");
  await at.page.getByLabel("Family name").fill("Irrtum");
  await saved;
  await visit(at.page, "/intake");
  const drafts = at.page.getByTestId("drafts");
  await drafts.getByRole("button", { name: "Throw away: Irrtum" }).click();
  await drafts.getByText("Thrown away: Irrtum.").waitFor();
  await drafts.getByRole("button", { name: "Undo" }).click();
  await drafts.getByRole("button", { name: "Throw away: Irrtum" }).click();
  await drafts.getByText("Thrown away: Irrtum.").waitFor();
  await visit(at.page, "/intake");
  expect(await at.page.getByText("Irrtum").count()).toBe(0);
});
