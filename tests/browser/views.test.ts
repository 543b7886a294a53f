import axe from "axe-core";
import type { Browser, Page } from "playwright-core";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { endProcess } from "../../tools/machine/processes.mjs";
import { startServers, type Servers } from "~tests/harness/servers";
import {
  awake,
  nextFrames,
  openStair,
  phone,
  pick,
  signIn,
  startBrowser,
  tablet,
  type Visitor,
  visit,
  visitor,
} from "~tests/harness/browser";

let servers: Servers;
let browser: Browser;
let person: Visitor;
/** Paths of some people's stairs. */
const stairs: Record<string, string> = {};

/** Goes straight to a person's stair, or to a view of it. */
const goTo = (page: Page, name: string, view = "") => visit(page, `${stairs[name]}${view}`);

beforeAll(async () => {
  servers = await startServers(1);
  browser = await startBrowser();
  person = await visitor(browser, servers.urls[0] as string);
  await signIn(person.page);
  for (const name of ["Holloway", "Quenneville", "Brightwater", "Stanhope"]) {
    stairs[name] =
      (await person.page.getByRole("link", { name: new RegExp(name) }).getAttribute("href")) ?? "";
  }
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
  caseload: (page) => visit(page, "/"),
  "stair with an ease": (page) => goTo(page, "Holloway"),
  "stair with a stop": (page) => goTo(page, "Quenneville"),
  "stair with a report due": (page) => goTo(page, "Brightwater"),
  session: async (page) => {
    await goTo(page, "Stanhope", "/session");
  },
  record: async (page) => {
    await goTo(page, "Stanhope", "/record");
  },
  "record, exercise over time": async (page) => {
    await goTo(page, "Stanhope", "/record");
    await page.getByRole("button", { name: "Exercise over time" }).click();
    await page.getByTestId("history-chart").waitFor();
  },
  "keys and quick line": async (page) => {
    await visit(page, "/");
    await page.keyboard.press("?");
    await page.getByTestId("quick-grammar").waitFor();
  },
  "caseload under review": async (page) => {
    await visit(page, "/");
    await page.getByRole("button", { name: "Review one by one" }).click();
    await page.getByTestId("review").getByTestId("items").waitFor();
  },
  "schools side by side": async (page) => {
    await goTo(page, "Holloway", "/schools");
    await page.getByTestId("schools-table").waitFor();
  },
  "visit note": async (page) => {
    await goTo(page, "Stanhope", "/document?kind=visit-note");
  },
  "what is wrong": async (page) => {
    await goTo(page, "Stanhope");
    await page.getByRole("button", { name: "Something is wrong" }).click();
    await page.getByRole("button", { name: /Calf hot/ }).click();
  },
  "whom to call": (page) => visit(page, "/clinic"),
  library: (page) => visit(page, "/library"),
  "library by activity": (page) => visit(page, "/library?activity=gluteus-maximus"),
  "library for a patient": (page) => goTo(page, "Stanhope", "/library"),
  exercise: (page) => visit(page, "/library/single-leg-squat"),
  "exercise compared": async (page) => {
    await visit(page, "/library/two-leg-squat");
    await page.getByRole("combobox", { name: "Compare with", exact: true }).selectOption("touch-down");
    await page.getByRole("table", { name: "Side by side" }).waitFor();
  },
  "new exercise of the clinic": (page) => visit(page, "/library/new?from=clam"),
  plan: async (page) => {
    await goTo(page, "Stanhope", "/plan");
    await page.getByTestId("hits").waitFor();
  },
  measures: async (page) => {
    await goTo(page, "Stanhope", "/measures");
    await page.getByRole("button", { name: "All that this gate reads" }).click();
    await page.getByTestId("row-hip-adduction-force").getByRole("button").first().click();
    await page.locator("svg[data-chart]").waitFor();
  },
  gate: async (page) => {
    await goTo(page, "Stanhope", "/gate");
  },
  intake: async (page) => {
    await visit(page, "/intake");
    await page.getByRole("button", { name: "Add a limit" }).click();
    await page.getByLabel("Pathway").selectOption("ligament-reconstruction");
  },
  "nothing here": (page) => visit(page, "/no-such-page"),
};

describe.each(Object.entries(views))("%s", (name, open) => {
  it("meets WCAG 2.1 A and AA in both themes and fits a phone", async () => {
    const { page } = person;
    await open(page);
    if (name === "nothing here") person.complaints.splice(0);
    await page.evaluate(`(() => { ${axe.source} })()`);
    // Only colours differ from theme to theme.
    const rules = {
      quarry: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa"],
      "quarry-night": ["color-contrast"],
    };
    for (const [theme, runOnly] of Object.entries(rules)) {
      await page.evaluate((wanted) => (document.documentElement.dataset["theme"] = wanted), theme);
      await nextFrames(page);
      const violations = await page.evaluate(async (only) => {
        const checker = (window as unknown as { axe: typeof axe }).axe;
        const result = await checker.run(document, { runOnly: only });
        return result.violations.map(
          (v) =>
            `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 120)} ${n.any[0]?.message ?? ""}`).join(" | ")}`,
        );
      }, runOnly);
      expect(violations, theme).toEqual([]);
    }

    await page.setViewportSize(phone);
    await nextFrames(page);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
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
    await page.setViewportSize(tablet);
    expect(width).toBeLessThanOrEqual(phone.width);
    expect(small).toEqual([]);
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
    await visit(page, "/");
    const links = page.getByTestId("caseload").getByRole("link");
    await links.first().focus();
    await page.keyboard.press("ArrowDown");
    expect(await links.nth(1).evaluate((e) => e === document.activeElement)).toBe(true);
    await page.keyboard.press("Enter");
    await page.waitForURL("**/episodes/*");
    await awake(page);
    await page.keyboard.press("s");
    await page.waitForURL("**/session");
    await visit(page, "/");
    await page.keyboard.press("?");
    await page.getByRole("dialog").waitFor();
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
    await awake(page);
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
    await page.getByTestId("session-summary").waitFor();
    await visit(page, page.url().replace("/session", "/record"));
    const last = await page.locator('[data-kind="session"]').first().innerText();
    expect(last).toContain("Pain before 1.");
    expect(last).toContain("5 × 10 s at 112 N; pain 0, effort 6");
  });
});

describe("when things go wrong", () => {
  it("pain and effort are asked, never guessed", async () => {
    const { page } = person;
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
    const { page, context } = person;
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
    person.complaints.splice(0);
    await visit(page, page.url().replace("/session", "/record"));
    expect(await page.locator('[data-kind="session"]').count()).toBe(2);
  });

  it("what the server refuses stands at its field, and nothing is lost", async () => {
    const { page } = person;
    await openStair(page, "Achterberg");
    await visit(page, `${page.url()}/session`);
    await pick(page, "Pain before, at the site", 0);
    await page.getByLabel("Force").fill("5000");
    await pick(page, "Worst pain during", 0);
    await pick(page, "Effort", 5);
    await page.getByRole("button", { name: "Record the session" }).click();
    await page.getByRole("alert").waitFor();
    expect(await page.getByRole("alert").innerText()).toMatch(
      /Ball squeeze, Set 1, forceN must be less than 5000/,
    );
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
    await visit(stranger.page, "/sign-in");
    await stranger.page.getByLabel("E-mail address").fill("nobody@tarnstreet.example");
    await stranger.page.getByLabel("Password").fill("wrong");
    await stranger.page.keyboard.press("Enter");
    expect(await stranger.page.getByRole("alert").innerText()).toContain("Address or password is wrong.");
    expect(await stranger.page.getByLabel("E-mail address").inputValue()).toBe("nobody@tarnstreet.example");
    await stranger.context.close();
  });
});
