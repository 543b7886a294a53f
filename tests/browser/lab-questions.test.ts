import { beforeAll, describe, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { openStair, phone, tablet, visit } from "~tests/harness/browser";

/** The questions that the load lab answers for a person at the table, one by one. */
const at = atBrowser();
let stair = "";

beforeAll(async () => {
  await openStair(at.page, "Stanhope");
  stair = new URL(at.page.url()).pathname;
});

const numbers = (row: string) => (row.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const tab = async (name: string) => at.page.getByRole("tab", { name }).click();
const cells = async (table: string, name: RegExp) =>
  at.page.getByTestId(table).getByRole("row", { name }).getByRole("cell").allInnerTexts();
const pull = async (handle: string, dx: number, dy: number) => {
  const { page } = at;
  const box = await page.locator(`[data-handle="${handle}"]`).boundingBox();
  if (!box) throw new Error(`no handle at the ${handle}`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 6 });
  await page.mouse.up();
};

describe("any exercise of the library", () => {
  it("is opened from its own page, compared with another, and put into the plan in the form that was looked at", async () => {
    const { page } = at;
    const episode = stair.split("/").at(-1) ?? "";
    await visit(page, `/library/front-step-up?for=${episode}`);
    await page.getByRole("link", { name: "See the loads" }).click();
    await page.waitForURL("**/lab?exercise=front-step-up&variant=*");
    await page.getByTestId("load-table").waitFor();
    expect(await page.getByLabel("Exercise to look at").inputValue()).toBe("front-step-up");
    await page.getByLabel("Beside").selectOption("side-step-up");
    await expect.poll(() => page.getByTestId("lab-sentence").innerText()).toMatch(/under the kneecap/);
    const first = await page.getByTestId("lab-sentence").innerText();
    const variants = page.getByLabel("Variant");
    const last = await variants.getByRole("option").last().getAttribute("value");
    await variants.selectOption(last ?? "");
    await expect.poll(() => page.getByTestId("lab-sentence").innerText()).not.toBe(first);
    await page.getByLabel("Beside").selectOption("");
    await page.getByLabel("step height (cm)").fill("10");
    await page.getByRole("button", { name: "Put this into the plan" }).click();
    await page.waitForURL("**/plan");
    await page.locator("main").getByText("Front step-up").first().waitFor();
    expect(await page.locator("main").innerText()).toMatch(/10 cm/);
  });

  it("an exercise that sits down is read while the feet alone carry, and says so", async () => {
    const { page } = at;
    await visit(page, `${stair}/lab?exercise=chair-stand`);
    await page.getByTestId("load-table").waitFor();
    await page.getByText(/Read while the feet alone carry/).waitFor();
  });
});

describe("one foot ahead of the other", () => {
  it("share and moment follow the rear foot, the knee and the hip; a longer stance spares the knee only by its shin", async () => {
    const { page } = at;
    await visit(page, `${stair}/lab`);
    await tab("Split stance");
    await page.getByTestId("split-table").waitFor();
    const knee = (await cells("split-table", /Front knee moment/)).map((cell) => numbers(cell)[0] ?? NaN);
    const [now = NaN, same = NaN, upright = NaN] = knee;
    expect(same).toBeGreaterThan(now);
    expect(upright).toBeLessThan(now);
    const said = await page.getByTestId("split-sentence").innerText();
    // The person faces left: what is behind lies to the right.
    await pull("rear-foot", 30, 0);
    await expect.poll(() => page.getByTestId("split-sentence").innerText()).not.toBe(said);
    await page.getByLabel("Front knee bend").fill("0");
    await page.getByRole("alert").waitFor();
    expect(await page.getByRole("alert").innerText()).toMatch(/Cannot be held/);
  });
});

describe("boxes, steps and lowering", () => {
  it("a taller box for less bend, a higher step for more; where control was lost is a strength", async () => {
    const { page } = at;
    await visit(page, `${stair}/lab`);
    await tab("Boxes and lifts");
    const rows = (await page.getByTestId("boxes").getByRole("row").allInnerTexts()).slice(1).map(numbers);
    const steps = rows.map(([, , step = NaN]) => step);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    await page.getByLabel("Control lost at (°)").fill("45");
    await page.getByText(/N·m, \d+(\.\d+)? for each kilogram/).waitFor();
    await page.getByLabel("Control lost at (°)").fill("95");
    await page.getByText("Give 0 to 90°.").waitFor();
  });

  it("the box of the free squat is pulled up, and the knee bends less", async () => {
    const { page } = at;
    await visit(page, `${stair}/lab`);
    await tab("Free squat");
    await page.getByLabel("Down to a box").check();
    const before = Number(await page.getByLabel("Knee bend (°)").inputValue());
    await pull("box", 0, -25);
    await expect
      .poll(async () => Number(await page.getByLabel("Knee bend (°)").inputValue()))
      .toBeLessThan(before);
  });
});

describe("a band", () => {
  it("pulls as the clinic measured it, drawn on the figure; held too short it says how far it was measured", async () => {
    const { page } = at;
    await visit(page, `${stair}/lab?exercise=terminal-extension`);
    const panel = page.getByTestId("band-panel");
    await panel.getByLabel("Which band").selectOption({ label: "Tube with handles" });
    await expect
      .poll(() => panel.getByTestId("band-here").innerText())
      .toMatch(/N: \d+ cm long, stretched by/);
    const [force = NaN] = numbers(await panel.getByTestId("band-here").innerText());
    expect(
      await panel
        .locator("svg text")
        .filter({ hasText: `${force} N` })
        .count(),
    ).toBeGreaterThan(0);
    await panel.getByLabel("Held at (cm)").fill("60");
    await expect
      .poll(async () => numbers(await panel.getByTestId("band-here").innerText())[0])
      .toBeGreaterThan(force);
    await panel.getByRole("button", { name: /Write \d+ N into the dose/ }).click();
    await page.getByRole("button", { name: "Put this into the plan" }).waitFor();
    await panel.getByLabel("Held at (cm)").fill("20");
    await panel.getByText(/Beyond, nobody can say/).waitFor();
    expect(await panel.getByRole("button", { name: /into the dose/ }).count()).toBe(0);
  });
});

it("from an eased squat to a signed form that sits back, in less than half a minute by hand", async () => {
  const { page } = at;
  await visit(page, `${stair}/lab`);
  await page.getByTestId("load-table").waitFor();
  await page.getByLabel("Exercise to look at").selectOption({ label: await squat() });
  const began = Date.now();
  let acts = 0;
  const act = async (done: Promise<unknown>) => {
    acts += 1;
    await done;
  };
  await act(page.getByRole("button", { name: "Look for less under the kneecap" }).click());
  const found = page.getByRole("list", { name: "Less under the kneecap" });
  await found.waitFor();
  await page.getByText(/^\d+ of \d+ forms$/).waitFor({ state: "detached" });
  await act(found.getByRole("button", { name: "Show" }).first().click());
  await expect.poll(() => page.getByTestId("lab-sentence").innerText()).toMatch(/less stress/);
  await act(page.getByRole("button", { name: "Use this" }).click());
  await page.getByText("Signed into the plan.").waitFor();
  // Five seconds for each act of a hand, beside what the machine itself took.
  expect((Date.now() - began) / 1000 + 5 * acts).toBeLessThan(30);
});

async function squat(): Promise<string> {
  const options = at.page.getByLabel("Exercise to look at").getByRole("option");
  return options.filter({ hasText: "Two-leg squat," }).first().innerText();
}

it("on a phone and on a tablet nothing leaves the screen in any part of the lab", async () => {
  const { page } = at;
  for (const size of [phone, tablet]) {
    await page.setViewportSize(size);
    await visit(page, `${stair}/lab?exercise=terminal-extension`);
    await page.getByTestId("band-panel").waitFor();
    for (const name of [
      "This exercise",
      "Free squat",
      "Split stance",
      "Boxes and lifts",
      "Kneecap, whole plan",
    ]) {
      await tab(name);
      await page.locator("#lab-part > *").first().waitFor();
      expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(
        size.width,
      );
    }
  }
  await page.setViewportSize(tablet);
});
