import mysql from "mysql2/promise";
import { Secret, TOTP } from "otpauth";
import type { Page } from "playwright-core";
import { beforeAll, describe, expect, it } from "vitest";
import { usualHabits } from "~/contract/habits";
import { demoClinic, demoPassword } from "~demo/clinic";
import { violationsOf, wcag } from "~tests/harness/axe";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, nextFrames, phone, pick, signIn, tablet, visit, visitor } from "~tests/harness/browser";

/** People who work in the clinic, their own accounts, and what the lead owes the people in the records. */
const at = atBrowser({ signedIn: false });
const good = "four grey mares at noon";
const said = (page: Page, text: RegExp) =>
  page.getByRole("status").filter({ hasText: text }).first().waitFor();

async function demandFactor(demandsFactor: boolean): Promise<void> {
  const owner = await mysql.createConnection(at.servers.database.ownerUrl);
  const habits = JSON.stringify({ ...usualHabits, demandsFactor });
  await owner.execute("UPDATE clinics SET habits = ? WHERE id = ?", [habits, demoClinic.id]);
  await owner.end();
}

beforeAll(async () => {
  await signIn(at.page, "lead");
});

describe("a colleague", () => {
  it("is added, sets a password by the link, turns a second factor on and signs in with it, is deactivated", async () => {
    await visit(at.page, "/clinic/staff");
    const form = at.page.getByTestId("add-colleague");
    await form.getByLabel("Name").fill("Ilse Tern");
    await form.getByLabel("E-mail").fill("ilse@tarnstreet.example");
    await form.getByRole("button", { name: "Add" }).click();
    await said(at.page, /Ilse Tern is added/);
    const row = at.page.getByTestId("colleagues").getByRole("listitem").filter({ hasText: "Ilse Tern" });
    await row.getByText("no password yet").waitFor();
    await row.getByRole("button", { name: "Link for a password" }).click();
    const link = await at.page.getByRole("dialog").getByRole("textbox").inputValue();
    await at.page.getByRole("button", { name: "Done" }).click();

    const ilse = await visitor(at.browser, at.url, phone);
    await ilse.page.goto(link);
    await ilse.page.getByLabel("New password").fill("password1234");
    await ilse.page.getByRole("button", { name: "Set the password" }).click();
    await ilse.page.getByText("is among the passwords that are guessed first").waitFor();
    await ilse.page.getByLabel("New password").fill(good);
    await ilse.page.getByRole("button", { name: "Set the password" }).click();
    await ilse.page.getByRole("link", { name: "Sign in" }).click();
    await awake(ilse.page);
    const enter = async () => {
      await ilse.page.getByLabel("E-mail address").fill("ilse@tarnstreet.example");
      await ilse.page.getByLabel("Password").fill(good);
      await ilse.page.getByRole("button", { name: "Sign in" }).click();
    };
    await enter();
    await ilse.page.waitForURL(`${at.url}/`);

    // A clinic that asks everybody for one lets her go on once she has put her codes away: they are not shown again.
    await demandFactor(true);
    await visit(ilse.page, "/account");
    await ilse.page.getByText(/asks everybody for a second factor/).waitFor();
    const goOn = ilse.page.getByRole("link", { name: "Go on to the patients" });
    const box = ilse.page.getByTestId("second-factor");
    await box.getByRole("button", { name: "Set it up" }).click();
    await box.getByLabel(/Your password/).fill(good);
    await box.getByRole("button", { name: "Set it up" }).click();
    const secret = (await box.getByText(/^Key:/).innerText()).replace("Key:", "").trim();
    const app = new TOTP({ secret: Secret.fromBase32(secret) });
    let now = Date.parse("2026-03-10T09:00:00.000Z");
    await box.getByLabel("Code of the app").fill(app.generate({ timestamp: now }));
    await box.getByRole("button", { name: "Turn it on" }).click();
    await ilse.page.getByRole("list", { name: "Recovery codes" }).waitFor();
    expect(await goOn.count()).toBe(0);
    await box.getByRole("button", { name: "I have them" }).click();
    await box.getByText(/^On\. 8 recovery codes/).waitFor();
    await goOn.click();
    await ilse.page.waitForURL(`${at.url}/`);
    await awake(ilse.page);
    await demandFactor(false);

    await ilse.page.getByRole("button", { name: "Sign out" }).first().click();
    await ilse.page.waitForURL("**/sign-in");
    await awake(ilse.page);
    now += 60_000;
    at.servers.setClock(new Date(now).toISOString());
    await enter();
    await ilse.page.getByLabel("Code of your authenticator app").fill(app.generate({ timestamp: now }));
    await ilse.page.getByRole("button", { name: "Sign in" }).click();
    await ilse.page.waitForURL(`${at.url}/`);

    await row.getByRole("button", { name: "Change" }).click();
    await row.getByLabel("What is changed").selectOption("deactivate");
    await row.getByLabel("Why").fill("Has left the clinic");
    await row.getByRole("button", { name: "Sign the change" }).click();
    await row.getByText("deactivated").waitFor();
    await ilse.page.goto("/library");
    await ilse.page.waitForURL(/sign-in\?to=%2Flibrary/);
    await ilse.context.close();
  });
});

describe("signed out meanwhile", () => {
  it("the password is asked for in place; what was typed goes on by itself, once", async () => {
    await visit(at.page, "/");
    await at.page.getByRole("link", { name: /Stanhope/ }).click();
    await awake(at.page);
    await at.page.keyboard.press("r");
    await at.page.waitForURL("**/record");
    await awake(at.page);
    const entry = at.page.getByTestId("record").locator("[data-kind=report]").first();
    await entry.getByRole("button", { name: "Void" }).click();
    await entry.getByRole("textbox").fill("Written into the wrong record");
    await at.person.context.clearCookies();
    await entry.getByRole("button", { name: "Sign: void" }).click();
    const dialog = at.page.getByRole("dialog", { name: "Sign in again" });
    await dialog.getByLabel("Password").fill(demoPassword);
    await dialog.getByRole("button", { name: "Sign in" }).click();
    await entry.getByText(/Voided .* Written into the wrong record/).waitFor();
    expect(at.person.complaints.splice(0).join()).toMatch(/401/);
  });
  it("whoever opens a view is brought back to it", async () => {
    await at.person.context.clearCookies();
    await at.page.goto("/clinic/log");
    await awake(at.page);
    await at.page.getByLabel("E-mail address").fill("lead@tarnstreet.example");
    await at.page.getByLabel("Password").fill(demoPassword);
    await at.page.getByRole("button", { name: "Sign in" }).click();
    await at.page.waitForURL("**/clinic/log");
    await awake(at.page);
    await at.page.getByRole("row", { name: /voided a report/ }).waitFor();
    await at.page.goto("/sign-in?to=//elsewhere.example/");
    await at.page.waitForURL(`${at.url}/`);
  });
});

describe("the record is put right", () => {
  it("a result, try by try; an unusual one only when it is meant", async () => {
    await at.page.getByRole("link", { name: /Stanhope/ }).click();
    await awake(at.page);
    await at.page.keyboard.press("r");
    await at.page.waitForURL("**/record");
    await awake(at.page);
    const entry = at.page.getByTestId("record").locator("[data-kind=measures]").first();
    await entry
      .getByRole("button", { name: /^Correct/ })
      .first()
      .click();
    const before = await entry.getByLabel("Try 1").inputValue();
    await entry.getByLabel("Try 1").fill(String(Number(before) + 1));
    await entry.getByRole("button", { name: "Record the correction" }).click();
    await at.page.getByText("Corrected later; not judged any more.").first().waitFor();
  });
  it("a report, with what it said before in its fields", async () => {
    const entry = at.page.getByTestId("record").locator("[data-kind=report]").nth(1);
    await entry.getByRole("button", { name: "Correct" }).click();
    await pick(at.page, "Pain on waking", 3);
    await entry.getByRole("button", { name: "Record the report" }).click();
    await at.page
      .getByTestId("record")
      .locator("[data-kind=report]")
      .getByText("pain on waking 3")
      .first()
      .waitFor();
  });
});

describe("a person's data", () => {
  it("are exported, printed, looked after in the log, and asked to be erased", async () => {
    await at.page.keyboard.press("i");
    await at.page.waitForURL("**/person");
    await awake(at.page);
    const box = at.page.getByTestId("trust");
    const file = at.page.waitForEvent("download");
    await box.getByRole("link", { name: "Everything as a file" }).click();
    expect((await file).suggestedFilename()).toBe("person.stair.json");
    await box.getByRole("button", { name: "Ask for erasure" }).click();
    await box.getByLabel("Family name").fill("Wrong");
    await box.getByLabel(/Who asked/).fill("She asked for it");
    await box.getByRole("button", { name: "Sign: erase" }).click();
    await box.getByText("is not the family name of this person").waitFor();
    await box.getByLabel("Family name").fill("Stanhope");
    await box.getByRole("button", { name: "Sign: erase" }).click();
    await box.getByText(/^Asked for/).waitFor();
    await box.getByRole("link", { name: "Who looked at it" }).click();
    await awake(at.page);
    await at.page
      .getByRole("row", { name: /exported everything of the person/ })
      .first()
      .waitFor();
    expect(await at.page.getByText(/^Only what is about/).innerText()).toContain("Stanhope");
    expect(at.person.complaints.splice(0).join()).toMatch(/422/);
  });
});

describe("single letters", () => {
  it("lead nowhere once they are turned off, in every browser of that person", async () => {
    await visit(at.page, "/account");
    const letters = at.page.getByLabel("Single letters lead from view to view");
    await letters.uncheck();
    await said(at.page, /Kept/);
    await visit(at.page, "/clinic");
    await at.page.keyboard.press("l");
    await at.page.keyboard.press("?");
    await at.page.getByRole("dialog").waitFor();
    expect(new URL(at.page.url()).pathname).toBe("/clinic");
    await visit(at.page, "/account");
    await letters.check();
    await said(at.page, /Kept/);
    await at.page.getByRole("heading", { level: 1 }).click();
    await at.page.keyboard.press("l");
    await at.page.waitForURL("**/library");
  });
});

const views = [
  "/clinic",
  "/clinic/kit",
  "/clinic/staff",
  "/clinic/log",
  "/clinic/settings",
  "/account",
  "/set-password#short",
];
describe("the clinic's views", () => {
  it.each(views)(
    "%s: axe finds nothing in both themes, nothing leaves 320 px, targets are large enough",
    async (path) => {
      for (const [size, theme] of [
        [tablet, "quarry"],
        [{ width: 320, height: 640 }, "quarry-night"],
      ] as const) {
        await at.page.setViewportSize(size);
        await visit(at.page, path);
        await at.page.evaluate((name) => void (document.documentElement.dataset["theme"] = name), theme);
        await nextFrames(at.page);
        const found = await violationsOf(at.page, wcag);
        expect(found).toEqual([]);
        expect(
          await at.page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
        ).toBeLessThanOrEqual(0);
      }
      const small = await at.page
        .locator("main :is(button, a.btn, select, input:not([type=checkbox], [type=radio]))")
        .evaluateAll((all) =>
          all
            .map((one) => one.getBoundingClientRect())
            .filter(({ height, width }) => width > 0 && height < 43.5)
            .map(({ height }) => height),
        );
      expect(small).toEqual([]);
      await at.page.setViewportSize(tablet);
    },
  );
});
