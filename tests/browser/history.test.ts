import { expect, it } from "vitest";
import { openStair } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

it("an operation is signed with all that was done, its graft and the surgeon's own line, and limits from then on", async () => {
  const { page } = at.person;
  await openStair(page, "Holloway");
  await page.keyboard.press("h");
  await page.waitForURL("**/history");
  await page.getByRole("button", { name: "Add an event" }).click();
  const form = page.getByTestId("event-form");
  await form.getByLabel("On", { exact: true }).fill("2026-03-06");
  await form.getByLabel("Cruciate ligament reconstruction").check();
  await form.getByLabel("Meniscus repair", { exact: true }).check();
  await form.getByLabel("Graft").selectOption("hamstring");
  expect(await form.getByTestId("brought").innerText()).toContain("hamstring graft");
  expect(await form.getByTestId("brought").innerText()).not.toContain("graft from the front");
  await form
    .getByLabel("Last day by the surgeon's sheet: knee bend stays within 90° for six weeks")
    .fill("2026-04-03");
  await form.getByRole("button", { name: "Add a line" }).click();
  const line = form.getByTestId("sheet-line-0");
  await line.locator("select[name='sheet.0.what']").selectOption("weight");
  await line.getByLabel("How much").fill("40");
  await line.locator("select[name='sheet.0.unit']").selectOption("percent");
  await line.getByLabel("or for weeks").fill("3");
  await form.getByLabel("From which letter or whose word").fill("The surgeon's letter of the 6th");
  await form.getByRole("button", { name: "Sign the event" }).click();
  await page.getByTestId("events").getByText("Cruciate ligament reconstruction, Meniscus repair").waitFor();
  const limits = await page.getByTestId("limit-timeline").innerText();
  expect(limits).toContain("weight to 40 % of the body");
  expect(limits).toMatch(/knee bend stays within 90° for six weeks\s+surgeon · until Fri 3 Apr/);
  expect(limits).not.toContain("two legs only");
});

it("its correction keeps the surgeon's line, and a fault is said before anything is lost", async () => {
  const { page } = at.person;
  await page.getByTestId("events").getByRole("button", { name: "Correct" }).click();
  const form = page.getByTestId("event-form");
  expect(await form.getByTestId("kept-lines").innerText()).toContain("weight to 40 % of the body");
  await form.getByLabel("On", { exact: true }).fill("2020-03-06");
  await form.getByLabel("From which letter or whose word").fill("It was the 5th");
  await form.getByRole("button", { name: "Sign the correction" }).click();
  await form.getByText("lies before the injury").waitFor();
  at.person.complaints.splice(0);
  await form.getByLabel("On", { exact: true }).fill("2026-03-05");
  await form.getByRole("button", { name: "Sign the correction" }).click();
  await page.getByTestId("events").getByText("Thu 5 Mar · Operation").waitFor();
  expect(await page.getByTestId("limit-timeline").innerText()).toContain("weight to 40 % of the body");
});

it("a condition is signed and stands beside the name on every view", async () => {
  const { page } = at.person;
  const box = page.getByTestId("condition-box");
  await box.getByLabel("Something that is so from now on").selectOption("falls");
  await box.getByLabel("Reason").fill("Fell on the ferry in January");
  await box.getByRole("button", { name: "Sign: so from now on" }).click();
  await page.getByTestId("conditions").getByText("falls").first().waitFor();
  const here = page.url().replace("/history", "");
  for (const view of ["", "/plan", "/measures", "/gate", "/record", "/session", "/schools", "/library"]) {
    await page.goto(here + view);
    await page.getByTestId("conditions").getByText("falls").first().waitFor();
  }
  await page.goto(here);
  expect(await page.getByText("days (0 weeks) since the operation").count()).toBe(1);
});

it("a signal raised by mistake is taken back in one tap", async () => {
  const { page } = at.person;
  await page.getByRole("button", { name: "Something is wrong" }).click();
  await page.getByRole("button", { name: /Calf hot/ }).click();
  await page.getByRole("button", { name: /^Raise/ }).click();
  await page.getByTestId("signals").getByText("Nothing is added, made harder or passed").waitFor();
  await page.getByRole("button", { name: "Raised by mistake: take it back" }).click();
  await page.getByTestId("signals").waitFor({ state: "detached" });
});
