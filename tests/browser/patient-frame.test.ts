import { beforeAll, describe, expect, it } from "vitest";
import { awake, openStair, visit } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

/** The stair of a person whose history has an operation, and of one who has none. */
const stairs: Record<string, string> = {};
beforeAll(async () => {
  for (const name of ["Marchbanks", "Stanhope"]) {
    await openStair(at.page, name);
    stairs[name] = at.page.url();
  }
});

/** Every view of a patient in the order of the head, with its key. */
const views: readonly (readonly [key: string, path: string])[] = [
  ["t", ""],
  ["s", "/session"],
  ["m", "/measures"],
  ["g", "/gate"],
  ["p", "/plan"],
  ["w", "/week"],
  ["y", "/phone"],
  ["o", "/lab"],
  ["h", "/history"],
  ["r", "/record"],
  ["i", "/person"],
  ["b", "/library"],
];
const links = () => at.page.getByRole("navigation", { name: "Views of this patient" }).getByRole("link");
const pathOf = (href: string | null) => new URL(href ?? "", at.url).pathname;

describe("the head of every view of a patient", () => {
  // The stair last: it is where the walk begins.
  it.each([...views.slice(1), ...views.slice(0, 1)])(
    "%s from the view before, %s: who, which side, how far on, the same way to every other view",
    async (key, path) => {
      if (!at.page.url().includes(stairs["Marchbanks"] as string))
        await visit(at.page, stairs["Marchbanks"] as string);
      await at.page.keyboard.press(key);
      await at.page.waitForURL(`${stairs["Marchbanks"]}${path}`);
      await awake(at.page);
      const names = await at.page.getByRole("heading", { level: 1 }).allInnerTexts();
      expect(names).toHaveLength(1);
      expect(names[0]).toContain("Marchbanks");
      const facts = await at.page.getByTestId("patient-facts").innerText();
      expect(facts).toMatch(
        /right · \d+ weeks since injury · \d+ weeks since the operation \(.*graft: hamstring\)/,
      );
      expect(facts).toMatch(/stage \d of \d: .* · born 1999 \(\d+\)/);
      const ways = await links().evaluateAll((all) => all.map((a) => a.getAttribute("href")));
      expect(ways.map((way) => pathOf(way).replace(/^.*episodes\/[^/]+/, ""))).toEqual(
        views.map(([, view]) => view),
      );
      const current = links().and(at.page.locator("[aria-current=page]"));
      expect(await current.count()).toBe(1);
      expect(pathOf(await current.getAttribute("href"))).toBe(pathOf(at.page.url()));
      await at.page.getByRole("button", { name: "Something is wrong" }).waitFor();
    },
  );

  it("limits in force are read on a tap", async () => {
    await visit(at.page, stairs["Stanhope"] ?? "");
    await at.page.getByText(/^\d limits?$/).click();
    expect(await at.page.getByTestId("limit-timeline").first().innerText()).toContain(
      "no jumping or running in this stage",
    );
  });

  it("what is raised at the plan stands there at once, and on every other view; a letter does not leave the dialog", async () => {
    await visit(at.page, `${stairs["Stanhope"]}/plan`);
    await at.page.getByRole("button", { name: "Something is wrong" }).click();
    const dialog = at.page.getByTestId("raise-signal");
    await dialog.getByRole("button", { name: /Calf hot/ }).click();
    await at.page.keyboard.press("m");
    expect(at.page.url()).toContain("/plan");
    await dialog.getByRole("button", { name: "Raise: suspends the whole plan" }).click();
    await at.page.getByTestId("signals").waitFor();
    await visit(at.page, `${stairs["Stanhope"]}/measures`);
    expect(await at.page.getByTestId("signals").innerText()).toContain("To a doctor today. Calf hot");
  });

  it("it is cleared from where one is, and the stair follows", async () => {
    await visit(at.page, stairs["Stanhope"] ?? "");
    const outcomes = () => at.page.getByTestId("items").getByTestId("outcome").allInnerTexts();
    expect(new Set(await outcomes())).toEqual(new Set(["Stop"]));
    const signals = at.page.getByTestId("signals");
    await signals.getByText("Clear in writing").click();
    await signals.getByRole("textbox").fill("Seen by a doctor: a bruise, the vein is open");
    await signals.getByRole("button", { name: "Sign the clearance" }).click();
    await signals.waitFor({ state: "detached" });
    await expect.poll(outcomes).not.toContain("Stop");
  });

  it("an operation that is signed stands in it without the page being loaded again", async () => {
    await visit(at.page, `${stairs["Stanhope"]}/history`);
    await at.page.getByRole("button", { name: "Add an event" }).click();
    await at.page.getByLabel("On", { exact: true }).fill("2026-03-08");
    await at.page.getByLabel("Meniscus repair", { exact: true }).check();
    await at.page
      .getByRole("textbox", { name: /From which letter/ })
      .fill("Letter of the surgeon of 9 March");
    await at.page.getByRole("button", { name: "Sign the event" }).click();
    await at.page
      .getByTestId("patient-facts")
      .getByText("day 2 since the operation (Meniscus repair)")
      .waitFor();
  });
});

describe("find", () => {
  it("a person by name, from anywhere, with the keyboard", async () => {
    await visit(at.page, `${stairs["Stanhope"]}/plan`);
    await at.page.keyboard.press("Control+k");
    const palette = at.page.getByTestId("palette");
    await palette.getByRole("combobox").waitFor();
    await at.page.keyboard.type("quenn");
    await palette.getByRole("option", { name: /Bertil Quenneville born 1960/, selected: true }).waitFor();
    await at.page.keyboard.press("Enter");
    await at.page.getByRole("heading", { level: 1, name: "Bertil Quenneville" }).waitFor();
  });

  it("an exercise, a view of this patient, an act; nothing is said to be nothing", async () => {
    const palette = at.page.getByTestId("palette");
    await awake(at.page);
    await at.page.getByRole("button", { name: "Find" }).click();
    await palette.getByRole("option", { name: "Measures" }).waitFor();
    await at.page.keyboard.type("nordic");
    await palette
      .getByRole("option", { name: /lean|lower|curl/i })
      .first()
      .waitFor();
    await palette.getByRole("combobox").fill("zzqq");
    await palette.getByText("Nothing by these words.").waitFor();
    await palette.getByRole("combobox").fill("gate");
    await palette.getByRole("option", { name: "Gate", selected: true }).waitFor();
    await at.page.keyboard.press("Enter");
    await at.page.waitForURL("**/gate");
  });

  it("on the caseload, by name and by year of birth", async () => {
    await visit(at.page, "/");
    const names = () => at.page.getByTestId("caseload").getByRole("link").count();
    expect(await names()).toBeGreaterThan(20);
    await at.page.keyboard.press("/");
    await at.page.keyboard.type("1992");
    await expect.poll(names).toBe(2);
    await at.page.getByLabel("Name or year of birth").fill("nobody at all");
    await at.page.getByText(/Nobody by this name among the active patients/).waitFor();
    await at.page.getByLabel("Name or year of birth").fill("");
    const rows = at.page.getByTestId("caseload").getByRole("link");
    const ninth = await rows.nth(8).boundingBox();
    expect((ninth?.y ?? 999) + (ninth?.height ?? 999)).toBeLessThanOrEqual(800);
  });
});

describe("the life of an episode", () => {
  it("discharged with a summary, it is found among the closed and opened again", async () => {
    const { page } = at;
    await openStair(page, "Osterby");
    await page.keyboard.press("i");
    await page.waitForURL("**/person");
    await awake(page);
    const standing = page.getByTestId("standing");
    await standing.getByRole("button", { name: "Discharge" }).click();
    await standing
      .getByLabel("What was reached")
      .fill("Runs 5 km without pain; squats twice a week at home.");
    await standing.getByLabel("Reason for the discharge").fill("Goals reached");
    await standing.getByRole("button", { name: "Sign the discharge" }).click();
    await standing.getByText("This episode: closed").waitFor();
    expect(await page.getByTestId("resting").innerText()).toMatch(/^Closed since Tue 10 Mar: Goals reached/);
    expect(await page.getByTestId("turns").innerText()).toContain("Runs 5 km without pain");
    await visit(page, "/");
    await page.getByLabel("Name or year of birth").fill("Osterby");
    await page.getByText(/Nobody by this name among the active patients/).waitFor();
    await page.getByRole("button", { name: "Find" }).click();
    await page.getByTestId("palette").getByRole("combobox").fill("osterby");
    await page.getByRole("option", { name: /Ragnhild Osterby.*closed/ }).click();
    // Nothing is offered that would be refused.
    await page.getByTestId("resting").waitFor();
    for (const act of ["Change", "Set dose by hand", "Sign all", "Clear in writing"])
      expect(await page.getByRole("button", { name: act }).count()).toBe(0);
    await page.getByRole("link", { name: "Open again" }).click();
    await page.waitForURL("**/person");
    await awake(page);
    await standing.getByRole("button", { name: "Open again" }).click();
    await standing.getByLabel("Why it is opened again").fill("The knee aches since the ski tour");
    await standing.getByRole("button", { name: "Sign: open again" }).click();
    await standing.getByText("This episode: goes on").waitFor();
    await page.getByTestId("resting").waitFor({ state: "detached" });
  });

  it("a name misheard is put right, in the head of the view too; what it was stays", async () => {
    const { page } = at;
    const form = page.getByTestId("identity");
    await form.getByLabel("Family name").fill("Østerby");
    await form.getByLabel("Why it is changed").fill("Spelt so in her pass");
    await form.getByRole("button", { name: "Sign the change" }).click();
    await page.getByRole("heading", { level: 1, name: "Ragnhild Østerby" }).waitFor();
    expect(await page.getByTestId("changes").innerText()).toMatch(
      /^.*\s+Family name: Osterby → Østerby\s+“Spelt so in her pass”/,
    );
  });
});
