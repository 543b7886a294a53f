import { beforeAll, describe, expect, it } from "vitest";
import { endProcess } from "../../tools/machine/processes.mjs";
import { openStair, pick, visit, visitor } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser({ own: true });

/** Paths of some people's stairs. */
const stairs: Record<string, string> = {};

beforeAll(async () => {
  for (const name of ["Holloway", "Quenneville", "Brightwater", "Stanhope"]) {
    stairs[name] =
      (await at.person.page.getByRole("link", { name: new RegExp(name) }).getAttribute("href")) ?? "";
  }
});

describe("when things go wrong", () => {
  it("pain and effort are asked, never guessed", async () => {
    const { page } = at.person;
    await openStair(page, "Achterberg");
    await visit(page, `${page.url()}/session`);
    await page.getByRole("button", { name: "Record the session" }).click();
    const alert = page.getByRole("alert");
    await alert.waitFor();
    expect(await alert.innerText()).toContain("Record at least one exercise: its worst pain and its effort.");
    await pick(page, "Effort", 5);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByText("Something is missing").waitFor();
    expect(await alert.innerText()).toContain("Pain before, at the site Ask for the pain before");
    expect(await alert.innerText()).toContain("Ball squeeze worst pain missing");
  });

  it("a lost connection loses nothing: the entries stay, over a reload too, and go by themselves, once", async () => {
    const { page, context } = at.person;
    await pick(page, "Pain before, at the site", 2);
    await page.getByLabel("Force").fill("95");
    await pick(page, "Worst pain during", 1);
    await pick(page, "Effort", 5);
    await page.reload({ waitUntil: "networkidle" });
    await page.getByTestId("resumed").waitFor();
    expect(await page.getByLabel("Force").inputValue()).toBe("95");
    await context.setOffline(true);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByRole("alert").waitFor();
    await page.getByText("Not sent yet: no connection").waitFor();
    expect(await page.getByLabel("Force").inputValue()).toBe("95");
    await context.setOffline(false);
    await page.getByTestId("session-summary").waitFor();
    at.person.complaints.splice(0);
    await visit(page, page.url().replace("/session", "/record"));
    expect(await page.locator('[data-kind="session"]').count()).toBe(2);
  });

  it("what the server refuses stands at its field, and nothing is lost", async () => {
    const { page } = at.person;
    await openStair(page, "Achterberg");
    await visit(page, `${page.url()}/session`);
    await pick(page, "Pain before, at the site", 0);
    await page.getByLabel("Force").fill("5000");
    await pick(page, "Worst pain during", 0);
    await pick(page, "Effort", 5);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByRole("alert").waitFor();
    expect(await page.getByRole("alert").innerText()).toMatch(
      /Ball squeeze, Set 1, Force must be less than 5000/,
    );
    expect(await page.getByLabel("Force").inputValue()).toBe("5000");
    expect(at.person.complaints.splice(0).every((complaint) => complaint.includes("422"))).toBe(true);
    await page.evaluate(() => sessionStorage.clear());
  });

  it("the database away: a page that says so, and that finds back by itself", async () => {
    const { page } = at.person;
    const pid = at.servers.database.pid() as number;
    await endProcess(pid);
    await page.goto("/");
    expect(await page.getByTestId("database-down").isVisible()).toBe(true);
    await at.servers.database.restart();
    await page.getByTestId("caseload").waitFor({ timeout: 20_000 });
    expect(at.person.complaints.splice(0).every((complaint) => complaint.includes("503"))).toBe(true);
  });

  it("a wrong password says so and keeps the address", async () => {
    const stranger = await visitor(at.browser, at.url);
    await visit(stranger.page, "/sign-in");
    await stranger.page.getByLabel("E-mail address").fill("nobody@tarnstreet.example");
    await stranger.page.getByLabel("Password").fill("wrong");
    await stranger.page.keyboard.press("Enter");
    expect(await stranger.page.getByRole("alert").innerText()).toContain("Address or password is wrong.");
    expect(await stranger.page.getByLabel("E-mail address").inputValue()).toBe("nobody@tarnstreet.example");
    await stranger.context.close();
  });
});
