import { beforeAll, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { openStair, phone, tablet, visit } from "~tests/harness/browser";

/** Bands measured with a luggage scale, and the weights that stand in the clinic and at home. */
const at = atBrowser();
let stair = "";

beforeAll(async () => {
  await openStair(at.page, "Stanhope");
  stair = new URL(at.page.url()).pathname;
});

it("a band is measured at three stretches; one that falls is refused at its field with nothing lost", async () => {
  const { page } = at;
  await visit(page, "/clinic/kit");
  await page.getByRole("button", { name: "Measure a band" }).click();
  const form = page.getByTestId("band-form");
  await form.getByLabel("Name").fill("Wide, ochre");
  await form.getByLabel("At rest (cm)").fill("80");
  await form.getByRole("button", { name: "0, 100 and 200 %" }).click();
  expect(await form.getByLabel("Stretch 3, cm").inputValue()).toBe("160");
  await form.getByLabel("Scale at stretch 1, kg").fill("0");
  await form.getByLabel("Scale at stretch 2, kg").fill("3,2");
  await form.getByLabel("Scale at stretch 3, kg").fill("2.9");
  await form.getByRole("button", { name: "Save the band" }).click();
  await form.getByRole("alert").filter({ hasText: "must not be less than the one before it" }).waitFor();
  expect(await form.getByLabel("Scale at stretch 3, kg").getAttribute("aria-invalid")).toBe("true");
  await form.getByLabel("Scale at stretch 3, kg").fill("5");
  await form.getByRole("img", { name: /Wide, ochre/ }).waitFor();
  await form.getByRole("button", { name: "Save the band" }).click();
  const list = page.getByRole("list", { name: "Bands" });
  const band = list.getByRole("listitem").filter({ hasText: "Wide, ochre" });
  await band.getByText("Up to 49 N at 200 % of stretch.").waitFor();
  await band.getByRole("button", { name: "Take off the list" }).click();
  await band.waitFor({ state: "detached" });
});

it("weights of the clinic are set, and taken over for a person who trains there", async () => {
  const { page } = at;
  await visit(page, "/clinic/kit");
  const kettlebell = page.getByLabel("kettlebell (kg)");
  await kettlebell.fill("8, 6; 12 x");
  await page.getByText("Give loads above 0 and up to 500 kg.").waitFor();
  expect(await page.getByRole("button", { name: "Save the weights" }).isDisabled()).toBe(true);
  await kettlebell.fill("8, 6; 12");
  await page.getByRole("button", { name: "Save the weights" }).click();
  await page.getByRole("status").filter({ hasText: "Saved." }).waitFor();
  expect(await kettlebell.inputValue()).toBe("6, 8, 12");

  await visit(page, `${stair}/plan`);
  const circumstances = page.getByTestId("circumstances");
  await circumstances.locator("summary").first().click();
  await circumstances.locator("select[name=place]").selectOption("gym");
  await page.getByTestId("weights-at-hand").locator("summary").click();
  await page.getByRole("button", { name: "As they stand in the clinic" }).click();
  await expect.poll(() => circumstances.getByLabel("kettlebell (kg)").inputValue()).toBe("6, 8, 12");
  await circumstances.getByLabel("Reason").fill("Trains here from now on");
  await circumstances.getByRole("button", { name: /Sign/ }).click();
  await page.getByText("The plan is judged by the new week.").waitFor();
  await visit(page, `${stair}/plan`);
  await circumstances.locator("summary").first().click();
  await page.getByTestId("weights-at-hand").locator("summary").click();
  expect(await circumstances.getByLabel("kettlebell (kg)").inputValue()).toBe("6, 8, 12");
});

it("on a phone nothing of it leaves the screen", async () => {
  const { page } = at;
  await page.setViewportSize(phone);
  await visit(page, "/clinic/kit");
  await page.getByRole("button", { name: "Measure a band" }).click();
  await page.getByTestId("band-form").waitFor();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
  await page.setViewportSize(tablet);
});
