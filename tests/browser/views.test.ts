import axe from "axe-core";
import type { Browser, Page } from "playwright-core";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { endProcess } from "../../tools/machine/processes.mjs";
import { startServers, type Servers } from "~tests/harness/servers";
import {
  openStair,
  phone,
  pick,
  signIn,
  startBrowser,
  tablet,
  visitor,
  type Visitor,
} from "~tests/harness/browser";

let servers: Servers;
let browser: Browser;
let person: Visitor;

beforeAll(async () => {
  servers = await startServers(1);
  browser = await startBrowser();
  person = await visitor(browser, servers.urls[0] as string);
  // Without transitions a theme is there as soon as it is set, however busy the machine.
  await person.page.emulateMedia({ reducedMotion: "reduce" });
  await signIn(person.page);
});
afterAll(async () => {
  await browser.close();
  await servers.stop();
});
afterEach(() => {
  expect(person.complaints.splice(0)).toEqual([]);
});

/** Every main view, by the way a person reaches it. */
const views: Record<string, (page: Page) => Promise<unknown>> = {
  caseload: (page) => page.goto("/", { waitUntil: "networkidle" }),
  "stair with an ease": (page) => openStair(page, "Holloway"),
  "stair with a stop": (page) => openStair(page, "Quenneville"),
  "stair with a report due": (page) => openStair(page, "Brightwater"),
  session: async (page) => {
    await openStair(page, "Stanhope");
    await page.goto(`${page.url()}/session`, { waitUntil: "networkidle" });
  },
  record: async (page) => {
    await openStair(page, "Stanhope");
    await page.goto(`${page.url()}/record`, { waitUntil: "networkidle" });
  },
  plan: async (page) => {
    await openStair(page, "Stanhope");
    await page.goto(`${page.url()}/plan`, { waitUntil: "networkidle" });
    await page.getByTestId("hits").waitFor();
  },
  measures: async (page) => {
    await openStair(page, "Stanhope");
    await page.goto(`${page.url()}/measures`, { waitUntil: "networkidle" });
    await page.getByRole("button", { name: "All that this gate reads" }).click();
    await page.getByTestId("row-hip-adduction-force").getByRole("button").first().click();
    await page.locator("svg[data-chart]").waitFor();
  },
  gate: async (page) => {
    await openStair(page, "Stanhope");
    await page.goto(`${page.url()}/gate`, { waitUntil: "networkidle" });
  },
  intake: async (page) => {
    await page.goto("/intake", { waitUntil: "networkidle" });
    await page.getByRole("button", { name: "Add a limit" }).click();
    await page.getByLabel("Pathway").selectOption("ligament-reconstruction");
  },
  "nothing here": (page) => page.goto("/no-such-page", { waitUntil: "networkidle" }),
};

describe.each(Object.entries(views))("%s", (name, open) => {
  it.each(["quarry", "quarry-night"])("meets WCAG 2.1 A and AA in %s", async (theme) => {
    const { page } = person;
    await open(page);
    if (name === "nothing here") person.complaints.splice(0);
    await page.evaluate((wanted) => (document.documentElement.dataset["theme"] = wanted), theme);
    await page.waitForTimeout(250);
    await page.evaluate(`(() => { ${axe.source} })()`);
    const violations = await page.evaluate(async () => {
      const checker = (window as unknown as { axe: typeof axe }).axe;
      const result = await checker.run(document, { runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa"] });
      return result.violations.map(
        (v) =>
          `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`,
      );
    });
    expect(violations).toEqual([]);
  });

  it("fits a phone: nothing runs out sideways, targets are large enough", async () => {
    const { page } = person;
    await page.setViewportSize(phone);
    await open(page);
    if (name === "nothing here") person.complaints.splice(0);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(phone.width);
    const small = await page.$$eval(
      "main button, main a.btn, main select, header button, header a",
      (elements) =>
        elements
          .filter((e) => e.getClientRects().length > 0 && !e.closest(".sr-only, dialog:not([open])"))
          .map((e) => ({
            height: e.getBoundingClientRect().height,
            text: (e.textContent ?? "").slice(0, 30),
          }))
          .filter((e) => e.height < 43.5),
    );
    expect(small).toEqual([]);
    await page.setViewportSize(tablet);
  });
});

it("with all text hidden, the stairs of three people differ visibly: place, gate, marks", async () => {
  const { page } = person;
  const drawings: Record<string, Buffer> = {};
  for (const name of ["Darrow", "Holloway", "Falkenrath"]) {
    await openStair(page, name);
    await page
      .addStyleTag({ content: "* { color: transparent !important } text { display: none }" })
      .catch(() => undefined);
    const marks = await page.$eval("svg[role=group]", (svg) => {
      svg.querySelectorAll("text, title").forEach((node) => node.remove());
      svg.querySelectorAll("[aria-label]").forEach((node) => node.removeAttribute("aria-label"));
      const shapes = [...svg.querySelectorAll("path, rect, circle, ellipse")];
      return shapes.map((s) => `${s.getAttribute("class")} ${s.getAttribute("d") ?? ""}`).join("\n");
    });
    drawings[name] = Buffer.from(marks);
  }
  person.complaints.splice(0);
  const [a, b, c] = Object.values(drawings).map(String);
  expect(new Set([a, b, c]).size).toBe(3);
  const bars = (drawing = "") => ({
    met: drawing.split("fill-success stroke-success").length - 1,
    solid: drawing.split("fill-error stroke-error").length - 1,
  });
  expect(bars(a)).toEqual({ met: 0, solid: 2 });
  expect(bars(b)).toEqual({ met: 2, solid: 1 });
  expect(bars(c)).toEqual({ met: 5, solid: 0 });
});

describe("by keyboard alone", () => {
  it("moves through the caseload and opens the next person", async () => {
    const { page } = person;
    await page.goto("/", { waitUntil: "networkidle" });
    const links = page.getByTestId("caseload").getByRole("link");
    await links.first().focus();
    await page.keyboard.press("ArrowDown");
    expect(await links.nth(1).evaluate((e) => e === document.activeElement)).toBe(true);
    await page.keyboard.press("Enter");
    await page.waitForURL("**/episodes/*");
    await page.waitForLoadState("networkidle");
    await page.keyboard.press("s");
    await page.waitForURL("**/session");
    await page.goto("/", { waitUntil: "networkidle" });
    await page.keyboard.press("?");
    expect(await page.getByRole("dialog").isVisible()).toBe(true);
    await page.keyboard.press("Escape");
    await page.getByRole("dialog").waitFor({ state: "hidden" });
  });

  it("the drawing is the navigation: a stage and a lane's mark open by Enter", async () => {
    const { page } = person;
    await openStair(page, "Holloway");
    await page.getByRole("button", { name: "1 Protect" }).focus();
    await page.keyboard.press("Enter");
    expect(await page.locator("main").innerText()).toContain("Settle the injury and walk without pain.");
    await page.getByRole("button", { name: /Hamstrings, Hip hinge/ }).focus();
    await page.keyboard.press("Enter");
    expect(
      await page.getByTestId("item-hinge").getByRole("button").first().getAttribute("aria-expanded"),
    ).toBe("true");
  });

  it("a session is recorded with Tab, arrows, typing and Enter", async () => {
    const { page } = person;
    await openStair(page, "Darrow");
    await page.keyboard.press("s");
    await page.waitForURL("**/session");
    await page.waitForLoadState("networkidle");
    await page.getByRole("radio", { name: "Pain before, at the site 0" }).focus();
    await page.keyboard.press("Space");
    await page.keyboard.press("ArrowRight");
    await page.getByLabel("Force").focus();
    await page.keyboard.type("112");
    await page.getByRole("radio", { name: "Worst pain during 0" }).focus();
    await page.keyboard.press("Space");
    await page.getByRole("radio", { name: "Effort 0" }).focus();
    await page.keyboard.press("Space");
    for (let n = 0; n < 6; n += 1) await page.keyboard.press("ArrowRight");
    await page.getByRole("button", { name: "Record the session" }).focus();
    await page.keyboard.press("Enter");
    await page.waitForURL(/episodes\/[^/]+$/);
    await page.goto(`${page.url()}/record`, { waitUntil: "networkidle" });
    const last = await page.locator('[data-kind="session"]').first().innerText();
    expect(last).toContain("Pain before 1.");
    expect(last).toContain("5 × 10 s, 112 N; pain 0, effort 6");
  });
});

describe("when things go wrong", () => {
  it("pain and effort are asked, never guessed", async () => {
    const { page } = person;
    await openStair(page, "Achterberg");
    await page.goto(`${page.url()}/session`, { waitUntil: "networkidle" });
    await page.getByRole("button", { name: "Record the session" }).click();
    expect(page.url()).toContain("/session");
    expect(await page.locator(".outline-error").count()).toBe(3);
  });

  it("a lost connection loses nothing: the entries stay, also over a reload, and are sent once", async () => {
    const { page, context } = person;
    await pick(page, "Pain before, at the site", 2);
    await page.getByLabel("Force").fill("95");
    await pick(page, "Worst pain during", 1);
    await pick(page, "Effort", 5);
    await context.setOffline(true);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByRole("alert").waitFor();
    expect(await page.getByRole("alert").innerText()).toContain(
      "Nothing was saved; your entries are still here",
    );
    await context.setOffline(false);
    person.complaints.splice(0);
    await page.reload({ waitUntil: "networkidle" });
    expect(await page.locator("main").innerText()).toContain("Entries from an unfinished session");
    expect(await page.getByLabel("Force").inputValue()).toBe("95");
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.waitForURL(/episodes\/[^/]+$/);
    await page.goto(`${page.url()}/record`, { waitUntil: "networkidle" });
    expect(await page.locator('[data-kind="session"]').count()).toBe(2);
  });

  it("what the server refuses stands at its field, and nothing is lost", async () => {
    const { page } = person;
    await openStair(page, "Achterberg");
    await page.goto(`${page.url()}/session`, { waitUntil: "networkidle" });
    await pick(page, "Pain before, at the site", 0);
    await page.getByLabel("Force").fill("5000");
    await pick(page, "Worst pain during", 0);
    await pick(page, "Effort", 5);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByRole("alert").waitFor();
    expect(await page.getByRole("alert").innerText()).toMatch(/Ball squeeze, Set 1, forceN must be < 5000/);
    expect(await page.getByLabel("Force").inputValue()).toBe("5000");
    expect(person.complaints.splice(0).every((complaint) => complaint.includes("422"))).toBe(true);
    await page.evaluate(() => sessionStorage.clear());
  });

  it("the database away: a page that says so, and that finds back by itself", async () => {
    const { page } = person;
    const pid = servers.database.pid() as number;
    await endProcess(pid);
    await page.goto("/");
    expect(await page.getByTestId("database-down").isVisible()).toBe(true);
    await servers.database.restart();
    await page.getByTestId("caseload").waitFor({ timeout: 20_000 });
    expect(person.complaints.splice(0).every((complaint) => complaint.includes("503"))).toBe(true);
  });

  it("a wrong password says so and keeps the address", async () => {
    const stranger = await visitor(browser, servers.urls[0] as string);
    await stranger.page.goto("/sign-in", { waitUntil: "networkidle" });
    await stranger.page.getByLabel("E-mail address").fill("nobody@tarnstreet.example");
    await stranger.page.getByLabel("Password").fill("wrong");
    await stranger.page.keyboard.press("Enter");
    expect(await stranger.page.getByRole("alert").innerText()).toContain("Address or password is wrong.");
    expect(await stranger.page.getByLabel("E-mail address").inputValue()).toBe("nobody@tarnstreet.example");
    await stranger.context.close();
  });
});
