import type { Page } from "playwright-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, nextFrames, openStair, visit, visitor, type Visitor } from "~tests/harness/browser";
import { quickLine } from "~tests/harness/session";
import { demoPassword, demoStaff } from "~demo/clinic";

const at = atBrowser();
let person: Visitor;
let page: Page;
beforeAll(async () => {
  person = await visitor(at.browser, at.url);
  page = person.page;
});
afterAll(() => person.context.close());

/** Goes to a page whose scripts are held back on the line; what it shows is there. @returns lets them come */
async function early(to: Page, path: string): Promise<() => Promise<void>> {
  const scripts = "**/_astro/*.js";
  let go = (): void => undefined;
  const free = new Promise<void>((resolve) => (go = resolve));
  await to.route(scripts, async (route) => {
    await free;
    await route.continue();
  });
  await to.goto(path, { waitUntil: "commit" });
  await to.locator("main").waitFor();
  return async () => {
    go();
    await awake(to);
    await nextFrames(to);
    await to.unroute(scripts);
  };
}

describe("before the page is alive, on a slow line", () => {
  it("what is typed to sign in stays, an early Enter costs nothing, and it signs in", async () => {
    const alive = await early(page, "/sign-in");
    const email = demoStaff.find(({ key }) => key === "clinician")?.email ?? "";
    await page.getByLabel("E-mail address").pressSequentially(email);
    await page.getByLabel("Password").pressSequentially(demoPassword);
    await page.keyboard.press("Enter");
    await alive();
    expect(await page.getByLabel("E-mail address").inputValue()).toBe(email);
    await page.getByRole("button", { name: "Sign in" }).click();
    await page.waitForURL("**/");
    expect(person.complaints).toEqual([]);
  });

  it("a pain that was tapped and minutes that were typed are in the session that is recorded", async () => {
    await openStair(at.page, "Stanhope");
    const { pathname } = new URL(at.page.url());
    const alive = await early(at.page, `${pathname}/session`);
    const pain = at.page.getByRole("radio", { name: "Pain before, at the site 2", exact: true });
    await pain.locator("xpath=..").click();
    const minutes = at.page.getByLabel("Minutes in all");
    await minutes.fill("35");
    await alive();
    expect(await pain.isChecked()).toBe(true);
    expect(await minutes.inputValue()).toBe("35");
    await quickLine(at.page, "5x15s 220n p1 e7");
    await at.page.getByRole("button", { name: "Record the session" }).click();
    await at.page.getByTestId("session-summary").waitFor();
    await visit(at.page, `${pathname}/record`);
    expect(await at.page.locator('[data-kind="session"]').first().innerText()).toMatch(
      /pain before 2[\s\S]*35 min/i,
    );
  });

  it("words to search by, a filter that was chosen and a box that was ticked are as they were left", async () => {
    const alive = await early(at.page, "/library");
    const words = at.page.getByLabel("Search the library");
    await words.click();
    await words.pressSequentially("bridge");
    await alive();
    expect(await words.inputValue()).toBe("bridge");
    const hits = at.page.locator("[data-card]");
    await expect.poll(() => hits.first().innerText(), { timeout: 10_000 }).toMatch(/bridge/i);
  });

  it("what the browser puts back after a reload is nobody's early word", async () => {
    const own = await at.person.context.newPage();
    // The driver's own questions count as a hand on the page.
    await own.addInitScript(() => {
      Object.defineProperty(navigator, "userActivation", { value: { hasBeenActive: false } });
    });
    const alive = await early(own, "/library");
    const words = own.getByLabel("Search the library");
    await words.evaluate((field: HTMLInputElement) => (field.value = "bridge"));
    await alive();
    expect(await own.getByTestId("library-count").innerText()).not.toContain("bridge");
    expect(await own.locator("[data-card]").first().innerText()).not.toMatch(/bridge/i);
    await own.close();
  });

  it("the browser itself sends no form: an early Enter puts nobody's name into an address", async () => {
    const own = await at.person.context.newPage();
    await early(own, "/intake");
    const name = own.getByLabel("Given name");
    await name.fill("Ottoline");
    await own.keyboard.press("Enter");
    // Asked past the locators: those wait for the navigation that was refused.
    await expect.poll(() => at.person.complaints.length).toBe(1);
    expect(at.person.complaints.splice(0)[0]).toContain("form-action");
    const stands = () =>
      `${location.search} ${document.querySelector<HTMLInputElement>("[name=givenName]")?.value}`;
    expect(await own.evaluate(stands)).toBe(" Ottoline");
    await own.close();
  });
});
