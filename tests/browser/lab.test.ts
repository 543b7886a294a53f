import { beforeAll, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { awake, openStair, phone, tablet, visit } from "~tests/harness/browser";

const at = atBrowser();
let stair = "";

beforeAll(async () => {
  await openStair(at.page, "Stanhope");
  stair = new URL(at.page.url()).pathname;
});

const numbers = (row: string) => (row.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
const rowOf = async (name: RegExp) =>
  at.page.getByTestId("load-table").getByRole("row", { name }).innerText();

it("from an exercise of the plan to a form with less under the kneecap, signed, with what was compared as its reason", async () => {
  const { page } = at;
  await visit(page, stair);
  await page.getByTestId("item-two-leg-squat").getByRole("button").first().click();
  await page.getByRole("link", { name: "See the loads" }).click();
  await page.waitForURL("**/lab?item=*");
  await awake(page);
  await page.getByTestId("load-table").waitFor();
  expect(await page.getByLabel("Exercise to look at").inputValue()).not.toBe("");
  const [before = NaN] = numbers((await rowOf(/Stress under the kneecap/)).replace("MPa", ""));
  expect(before).toBeGreaterThan(0.5);

  await page.getByRole("button", { name: "Look for less under the kneecap" }).click();
  const found = page.getByRole("list", { name: "Less under the kneecap" });
  await found.waitFor();
  await page.getByText(/^\d+ of \d+ forms$/).waitFor({ state: "detached" });
  await found.getByRole("button", { name: "Show" }).first().click();
  await expect
    .poll(() => page.getByTestId("lab-sentence").innerText())
    .toMatch(/less stress under the kneecap/);
  const sentence = await page.getByTestId("lab-sentence").innerText();
  const [was = NaN, is = NaN] = numbers((await rowOf(/Stress under the kneecap/)).replace("MPa", ""));
  expect(was).toBe(before);
  expect(is).toBeLessThan(was);
  // The list stays, to look at the next one.
  expect(await found.isVisible()).toBe(true);

  await page.getByRole("button", { name: "Use this" }).click();
  await page.getByText("Signed into the plan.").waitFor();
  await visit(page, `${stair}/record`);
  expect(await page.locator("main").innerText()).toContain(sentence);
});

it("a patient sees two pictures and one sentence without a number", async () => {
  const { page } = at;
  await visit(page, `${stair}/lab`);
  await page.getByTestId("load-table").waitFor();
  await page.getByLabel("Exercise to look at").selectOption({ label: await optionWith("Two-leg squat") });
  await page.getByLabel("knee bend (°)").fill("40");
  await expect.poll(() => page.getByTestId("lab-sentence").innerText()).toMatch(/Knee bend 40°/);
  await page.getByRole("button", { name: "For the patient" }).click();
  const told = await page.getByTestId("lab-sentence").innerText();
  expect(told).toMatch(/kneecap/);
  expect(told).not.toMatch(/\d/);
  expect(await page.getByTestId("load-table").count()).toBe(0);
  expect(await page.locator("main svg text").count()).toBe(0);
});

async function optionWith(name: string): Promise<string> {
  const options = at.page.getByLabel("Exercise to look at").getByRole("option");
  return options.filter({ hasText: name }).first().innerText();
}

it("two exercises of the plan stand side by side; what is not done on the feet says so", async () => {
  const { page } = at;
  await visit(page, `${stair}/lab`);
  await page.getByTestId("load-table").waitFor();
  await page.getByLabel("Exercise to look at").selectOption({ label: await optionWith("Hip hinge") });
  await page.getByTestId("load-table").waitFor();
  const beside = page.getByLabel("Beside");
  const squat = await beside.getByRole("option").filter({ hasText: "Two-leg squat," }).innerText();
  await beside.selectOption({ label: squat });
  await expect.poll(() => page.getByTestId("lab-sentence").innerText()).toMatch(/at the hip/);
  expect(await page.getByRole("button", { name: "Use this" }).count()).toBe(0);
  await page.getByLabel("Exercise to look at").selectOption({ label: await optionWith("Ball squeeze") });
  await page.getByText(/Sitting, lying or on hands/).waitFor();
});

it("the free squat: pulled at the hip, kept beside, sat back below a ceiling", async () => {
  const { page } = at;
  await visit(page, `${stair}/lab`);
  await page.getByRole("tab", { name: "Free squat" }).click();
  const stress = async () =>
    numbers(
      (
        await page
          .getByTestId("bench-table")
          .getByRole("row", { name: /Stress/ })
          .innerText()
      ).replace("MPa", ""),
    );
  await page.getByTestId("bench-table").waitFor();
  const [first = NaN] = await stress();

  const handle = page.getByTestId("bench-figure").locator(".handle").nth(1);
  const box = await handle.boundingBox();
  if (!box) throw new Error("the hip has a handle");
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 45, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => (await stress())[0]).toBeGreaterThan(first);

  await page.getByRole("button", { name: "Keep to compare" }).click();
  const now = (await stress())[0] ?? NaN;
  await page.getByLabel("Stress no more than (MPa)").fill(String(Math.round(now * 6) / 10));
  await page.getByRole("button", { name: "Find the sit-back form" }).click();
  await expect
    .poll(() => page.getByTestId("bench-sentence").innerText())
    .toMatch(/Same knee bend .* less stress/);

  await page.getByLabel("Stress no more than (MPa)").fill("0.1");
  await page.getByRole("button", { name: "Find the sit-back form" }).click();
  await page.getByText(/No form of this bend stays below 0.1 MPa/).waitFor();
});

it("boxes, lifts and the kneecap's list can be read off; an item of the list opens", async () => {
  const { page } = at;
  await visit(page, `${stair}/lab`);
  await page.getByRole("tab", { name: "Boxes and lifts" }).click();
  const boxes = await page.getByTestId("boxes").getByRole("row").allInnerTexts();
  const heights = boxes.slice(1).map((row) => numbers(row)[1] ?? NaN);
  expect(heights).toEqual([...heights].sort((a, b) => b - a));
  await page.getByLabel("Weight at the ankle (kg)").fill("abc");
  await page.getByText("Give 0 to 100 kg.").waitFor();
  await page.getByRole("tab", { name: "Kneecap, whole plan" }).click();
  await page.getByTestId("budget").getByRole("button", { name: "Two-leg squat" }).click();
  await page.getByTestId("load-table").waitFor();
});

it("on a phone nothing leaves the screen, and the plan's own list leads to the lab", async () => {
  const { page } = at;
  await page.setViewportSize(phone);
  await visit(page, `${stair}/plan`);
  await page.getByText("Kneecap load of the plan").click();
  await page.getByTestId("budget").getByRole("button", { name: "Two-leg squat" }).click();
  await page.waitForURL("**/lab?item=*");
  await awake(page);
  await page.getByTestId("load-table").waitFor();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
  await page.setViewportSize(tablet);
});
