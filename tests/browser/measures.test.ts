import { describe, expect, it } from "vitest";
import { demoPassword } from "~demo/clinic";
import { awake, openStair, visit } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

const reading = (code: string) => at.person.page.getByTestId(`reading-${code}`).innerText();

describe("a visit by keyboard", () => {
  const chosen = [
    "Hip adduction, isometric",
    "Hip abduction, isometric",
    "Hip external rotation, isometric",
    "Knee extension, isometric",
    "Knee flexion, isometric",
    "Knee-to-wall distance",
    "Single hop for distance",
    "Triple hop",
    "Crossover hop",
    "Single-leg jump height",
  ];

  it("m opens it; ten measures, both sides, three trials each, go in with Tab alone: 60 numbers", async () => {
    const { page } = at.person;
    await openStair(page, "Falkenrath");
    await page.keyboard.press("m");
    await page.waitForURL("**/measures");
    await awake(page);
    for (const remove of await page.getByRole("button", { name: /^Leave out:/ }).all()) {
      await page
        .getByRole("button", { name: /^Leave out:/ })
        .first()
        .press("Enter");
      expect(remove).toBeDefined();
    }
    for (const name of chosen) {
      await page.getByPlaceholder("Name").fill(name);
      await page.getByRole("button", { name, exact: true }).press("Enter");
    }
    const first = page.getByLabel("Hip adduction, isometric, left, trial 1");
    await first.focus();
    let keys = 0;
    for (let row = 0; row < chosen.length; row += 1) {
      const top = row === 5 ? 12 : row === 9 ? 20 : 200;
      for (let trial = 0; trial < 6; trial += 1) {
        const text = String(top + trial);
        await page.keyboard.type(text);
        await page.keyboard.press("Tab");
        keys += text.length + 1;
      }
      // Past the way of testing, the remove button, the name of the next line and its unit.
      while (
        row < chosen.length - 1 &&
        !(await page.evaluate(() => document.activeElement?.getAttribute("data-trial")))
      ) {
        await page.keyboard.press("Tab");
        keys += 1;
      }
    }
    // At a slow typist's two keys a second the whole visit takes under two minutes more than the 160 it needs at most.
    expect(keys).toBeLessThan(280);
    expect(await reading("hip-adduction-force")).toContain("101 % of the other side");
  });

  it("Enter goes down the column, a copied column pastes, and what is impossible says so in its cell", async () => {
    const { page } = at.person;
    const first = page.getByLabel("Hip adduction, isometric, left, trial 1");
    await first.focus();
    await page.keyboard.press("Enter");
    expect(await page.evaluate(() => document.activeElement?.getAttribute("aria-label"))).toBe(
      "Hip abduction, isometric, left, trial 1",
    );
    await page.keyboard.press("ArrowUp");
    await first.evaluate((cell) => {
      const data = new DataTransfer();
      data.setData("text", "210,5\n220\n230\n");
      cell.dispatchEvent(
        new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
      );
    });
    expect(await first.inputValue()).toBe("210,5");
    expect(await page.getByLabel("Hip external rotation, isometric, left, trial 1").inputValue()).toBe("230");
    await first.fill("9000");
    await page.getByText("Above 1500: cannot be.").waitFor();
    expect(await page.getByRole("button", { name: "Record the visit" }).isDisabled()).toBe(true);
    await first.fill("210,5");
  });

  it("what is typed survives leaving the page; signed out meanwhile it leaves the tab, the page is covered, and it is recorded by whoever typed it", async () => {
    const { page, context } = at.person;
    const drafts = () =>
      page.evaluate(() => Object.keys(sessionStorage).filter((key) => key.startsWith("visit-")));
    await page.reload({ waitUntil: "networkidle" });
    expect(await page.getByLabel("Hip adduction, isometric, left, trial 1").inputValue()).toBe("210,5");
    expect(await drafts()).toHaveLength(1);
    await context.clearCookies();
    await page.getByRole("button", { name: "Record the visit" }).press("Enter");
    const dialog = page.getByRole("dialog", { name: "Sign in again" });
    await dialog.getByLabel("Password").waitFor();
    expect(await drafts()).toEqual([]);
    await page.keyboard.press("Escape");
    await page.keyboard.press("Escape");
    await dialog.getByLabel("Password").fill(demoPassword);
    await dialog.getByRole("button", { name: "Sign in" }).click();
    await page.getByText("20 results recorded.").waitFor();
    expect(await drafts()).toEqual([]);
    expect(at.person.complaints.splice(0).join()).toMatch(/401/);
  });

  it("over time: chart by keyboard, table, and the file of it", async () => {
    const { page } = at.person;
    await page.getByPlaceholder("Name").fill("Hip adduction, isometric");
    await page.getByRole("button", { name: "Hip adduction, isometric", exact: true }).click();
    await page
      .getByTestId("row-hip-adduction-force")
      .getByRole("button", { name: /Hip adduction/ })
      .first()
      .click();
    const chart = page.locator("svg[data-chart]");
    await chart.waitFor();
    await chart.focus();
    await page.keyboard.press("ArrowLeft");
    expect(await page.getByTestId("trend-readout").innerText()).toMatch(
      /^Tue 10 Mar: left .* N.*; right .* N/,
    );
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: "PNG" }).click(),
    ]);
    expect(download.suggestedFilename()).toBe("hip-adduction-force-trend.png");
    await page.getByRole("button", { name: "Table" }).click();
    expect(await page.getByTestId("trend-table").locator("tbody tr").count()).toBeGreaterThan(2);
  });

  it("where it hurts is drawn, by keyboard too", async () => {
    const { page } = at.person;
    await page.getByPlaceholder("Name").fill("Where it hurts");
    await page.getByRole("button", { name: "Where it hurts, drawn", exact: true }).click();
    await page.getByRole("checkbox", { name: "groin, left, front" }).press(" ");
    await page.getByTestId("row-pain-drawing").getByText("groin left (front)").waitFor();
  });
});

describe("a gate", () => {
  it("is read with values, errors, dates and what is missing; past it only with a reason, shown for ever", async () => {
    const { page } = at.person;
    await openStair(page, "Stanhope");
    await page.keyboard.press("g");
    await page.waitForURL("**/gate");
    expect(await page.getByTestId("gate-outcome").innerText()).toMatch(
      /^Closed\. \d of 4 required criteria are not met\./,
    );
    expect(await page.getByTestId("criterion-adduction-symmetry").innerText()).toContain(
      "of the early reference (other side, first value taken)",
    );
    expect(await page.getByTestId("measure-next").innerText()).toContain("Pain in the 5-second squeeze");
    await page.getByRole("button", { name: "Go on although it is closed" }).click();
    await page.getByRole("button", { name: "Sign past the closed gate" }).click();
    expect(await page.getByRole("textbox", { name: /Reason/ }).getAttribute("aria-invalid")).toBe("true");
    await page.getByText("At least three letters: somebody will ask why.").waitFor();
    await page.getByRole("textbox", { name: /Reason/ }).fill("Course begins on Monday, agreed with her");
    await page.getByRole("button", { name: "Sign past the closed gate" }).click();
    await page.getByRole("heading", { name: /Load and spring →/ }).waitFor();
    const moves = await page.getByTestId("moves").innerText();
    expect(moves).toContain("Past a closed gate to Load and spring");
    expect(moves).toContain("Not met then:");
  });

  it("prints on one page, without buttons, with a line to sign on", async () => {
    const { page } = at.person;
    await page.emulateMedia({ media: "print" });
    expect(await page.getByRole("button", { name: "Print" }).isVisible()).toBe(false);
    expect(await page.getByText("Name, date, signature").isVisible()).toBe(true);
    const pdf = await page.pdf({ format: "A4" });
    expect(pdf.toString("latin1").match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
    await page.emulateMedia({ media: "screen" });
  });

  it("open ones are signed", async () => {
    const { page } = at.person;
    await openStair(page, "Falkenrath");
    await visit(page, `${page.url()}/gate`);
    const open = await page.getByTestId("gate-outcome").innerText();
    expect(open).toBe("Open: everything required is met. A clinician may sign.");
    await page.getByRole("button", { name: /^Sign: on to/ }).click();
    await page
      .getByTestId("moves")
      .getByText(/^Through the gate to/)
      .waitFor();
  });
});
