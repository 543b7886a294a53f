import type { Page } from "playwright-core";
import { beforeAll, describe, expect, it } from "vitest";
import { awake, nextFrames, openStair, phone, tablet, visit } from "~tests/harness/browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

/** Paths of some people's stairs. */
const stairs: Record<string, string> = {};

/** Goes straight to a person's stair, or to a view of it. */
const goTo = (page: Page, name: string, view = "") => visit(page, `${stairs[name]}${view}`);

beforeAll(async () => {
  for (const name of ["Holloway", "Quenneville", "Brightwater", "Stanhope", "Sandoval"]) {
    stairs[name] =
      (await at.person.page.getByRole("link", { name: new RegExp(name) }).getAttribute("href")) ?? "";
  }
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
  "who comes today": async (page) => {
    await visit(page, "/");
    await page.getByRole("button", { name: "Who comes today" }).click();
    await page.getByTestId("today").getByRole("checkbox").first().check();
  },
  "phones and calendar": async (page) => {
    await goTo(page, "Stanhope", "/phone");
    await page.getByTestId("calendar").waitFor();
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
  lifts: async (page) => {
    await goTo(page, "Sandoval", "/lifts");
    await page.getByTestId("lift-trend").waitFor();
  },
  week: async (page) => {
    await goTo(page, "Stanhope", "/week");
    await page.getByTestId("week-grid").waitFor();
  },
  loads: async (page) => {
    await goTo(page, "Stanhope", "/lab");
    await page.getByTestId("load-table").waitFor();
  },
  "free squat": async (page) => {
    await goTo(page, "Stanhope", "/lab");
    await page.getByRole("tab", { name: "Free squat" }).click();
    await page.getByTestId("bench-table").waitFor();
  },
  "boxes and lifts": async (page) => {
    await goTo(page, "Stanhope", "/lab");
    await page.getByRole("tab", { name: "Boxes and lifts" }).click();
    await page.getByTestId("boxes").waitFor();
  },
  person: (page) => goTo(page, "Holloway", "/person"),
  find: async (page) => {
    await goTo(page, "Holloway");
    await page.getByRole("button", { name: "Find" }).click();
    await page.getByTestId("palette").getByRole("combobox").fill("a");
    await page.getByRole("option", { name: /born/ }).first().waitFor();
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

const widthOf = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

/** Words as wide as WCAG 1.4.12 says they must be able to stand. */
const wider =
  "* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important } p { margin-bottom: 2em !important }";

/** Gives the page rules of its own beside those it has, or takes them away. In the page. */
function dress(rules: string): void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(rules);
  document.adoptedStyleSheets = [sheet];
}

describe.each(Object.entries(views))("%s", (name, open) => {
  it("meets WCAG 2.2 A and AA in both themes and fits a phone", async () => {
    const { page } = at.person;
    await page.setViewportSize(tablet);
    await open(page);
    if (name === "nothing here") at.person.complaints.splice(0);
    // Only colours differ from theme to theme.
    const rules = {
      quarry: wcag,
      "quarry-night": ["color-contrast"],
    };
    for (const [theme, runOnly] of Object.entries(rules)) {
      await page.evaluate((wanted) => (document.documentElement.dataset["theme"] = wanted), theme);
      await nextFrames(page);
      const violations = await violationsOf(page, runOnly);
      expect(violations, theme).toEqual([]);
    }

    // 1.4.10: a phone of 320; a window of 1280 at 200 %; and words set wider, as 1.4.12 has it.
    for (const width of [320, 640]) {
      await page.setViewportSize({ width, height: 640 });
      await nextFrames(page);
      expect(await widthOf(page), `${width} wide`).toBeLessThanOrEqual(width);
    }
    await page.setViewportSize(phone);
    await page.evaluate(dress, wider);
    await nextFrames(page);
    expect(await widthOf(page), "with wider words").toBeLessThanOrEqual(phone.width);
    // 2.5.8: each target as large as the standard asks, or as far from the next; what a bar covers comes from under it by scrolling.
    await page.evaluate(dress, "body .sticky { position: static !important }");
    await nextFrames(page);
    expect(await violationsOf(page, ["target-size", "scrollable-region-focusable"])).toEqual([]);
    await page.evaluate(dress, "");
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
  const { page } = at.person;
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
  at.person.complaints.splice(0);
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
    const { page } = at.person;
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
    const { page } = at.person;
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
    const { page } = at.person;
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
