import { expect, it } from "vitest";
import type { RecordView } from "~/contract/record";
import { awake, openStair, visit } from "~tests/harness/browser";
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
  expect(await page.getByTestId("patient-facts").innerText()).toContain("day 5 since the operation");
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

it("loads that stall: bending is looked at, a small dose is signed with the day to look again", async () => {
  const { page } = at.person;
  await openStair(page, "Sandoval");
  await page.getByRole("link", { name: "Lifts" }).click();
  const trend = page.getByTestId("lift-trend");
  await trend.waitFor();
  expect(await trend.innerText()).toMatch(
    /Stalled: nothing better for 40 days over 7 trainings\. Best: 28 kg/,
  );
  const next = page.getByTestId("small-dose-next");
  expect(await next.innerText()).toContain("First look where bending forward locks");
  await page.getByRole("link", { name: "Take both now" }).click();
  await page.waitForURL("**/measures?**");
  await page
    .getByRole("textbox", { name: /^Bending forward/ })
    .first()
    .fill("60");
  await page
    .getByRole("textbox", { name: /^Bending backward/ })
    .first()
    .fill("12");
  await page.getByRole("button", { name: "Record the visit" }).click();
  await page.getByText("2 results recorded.").first().waitFor();
  await page.goBack();
  await page.getByTestId("lift-trend").waitFor();
  expect(await next.innerText()).toContain("Two sets of twelve into the warm-up");
  await page.getByRole("button", { name: "Sign: small dose" }).click();
  await page.getByText(/^Leave everything as it is until/).waitFor();
  expect(await page.getByTestId("small-dose").innerText()).toMatch(
    /Small dose in the warm-up · .+ · Jorun Vask · look again/,
  );
});

it("a lift is written down, asked about when it is far off, and corrected", async () => {
  const { page } = at.person;
  const form = page.getByTestId("lift-form");
  await form.getByRole("button", { name: "Record lift" }).click();
  await form.getByText("Give movement, sets, repetitions and load.").waitFor();
  await form.getByLabel("Movement").fill("ladder and kit, floor to shoulder");
  await form.getByLabel("Sets").fill("3");
  await form.getByLabel("Repetitions").fill("5");
  await form.getByLabel("Load (kg)").fill("240");
  await form.getByText("legs absent").click();
  await form.getByRole("button", { name: "Record lift" }).click();
  await form.getByText("is far above the 24 kg of before").waitFor();
  expect(at.person.complaints.splice(0).every((complaint) => complaint.includes("422"))).toBe(true);
  await form.getByLabel("Load (kg)").fill("24,5");
  await form.getByRole("button", { name: "Record lift" }).click();
  const log = page.getByTestId("lift-log");
  await log.getByText("3 × 5 × 24.5 kg").waitFor();
  await log
    .getByRole("button", { name: /^Correct this lift/ })
    .first()
    .click();
  await form.getByLabel("Load (kg)").fill("24");
  await form.getByRole("button", { name: "Correct", exact: true }).click();
  await log.getByText("3 × 5 × 24.5 kg").waitFor({ state: "detached" });
});

it("a long record comes as one goes down it, each entry once; a kind alone and a print have all of theirs", async () => {
  const { page, context } = at.person;
  await openStair(page, "Stanhope");
  const stair = page.url();
  const whole = (await (
    await context.request.get(`/api${new URL(stair).pathname}/record`)
  ).json()) as RecordView;
  const all = whole.entries.length;
  expect(all).toBeGreaterThan(40);
  await visit(page, `${stair}/record`);
  const entries = page.getByTestId("record").locator("> li");
  const older = page.getByRole("button", { name: /Show older entries/ });
  expect(await entries.count()).toBe(30);
  await older.waitFor();
  await page.mouse.wheel(0, 20_000);
  await older.waitFor({ state: "detached" });
  expect(await entries.count()).toBe(all);
  const times = await entries.evaluateAll((rows) => rows.map((row) => row.getAttribute("data-kind")));
  expect(times).toEqual(whole.entries.map(({ kind }) => kind));
  const reports = whole.entries.filter(({ kind }) => kind === "report").length;
  await page.getByRole("button", { name: `Next day ${reports}` }).click();
  await expect.poll(() => entries.count()).toBe(reports);
  await page.reload();
  await page.emulateMedia({ media: "print" });
  await page.getByText(`Only the newest 30 of ${all} entries are on this print`).waitFor();
  await page.emulateMedia({ media: "screen" });
  await page.evaluate(() => {
    window.print = () =>
      document.body.setAttribute(
        "data-printed",
        String(document.querySelectorAll("[data-testid=record] > li").length),
      );
  });
  await awake(page);
  await page.getByRole("button", { name: "Print" }).click();
  await expect.poll(() => page.evaluate(() => document.body.getAttribute("data-printed"))).toBe(String(all));
});
