import { describe, expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { visit } from "~tests/harness/browser";

const at = atBrowser();
const dialog = () => at.page.getByTestId("today");
const names = () => at.page.getByTestId("caseload").getByRole("link").allInnerTexts();

const file = (...events: readonly [at: string, title: string][]) => ({
  name: "day.ics",
  mimeType: "text/calendar",
  buffer: Buffer.from(
    [
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      ...events.flatMap(([time, title], n) => [
        "BEGIN:VEVENT",
        `UID:${n}`,
        `DTSTART:20260310T${time}00`,
        `SUMMARY:${title}`,
        "END:VEVENT",
      ]),
      "END:VCALENDAR",
    ].join("\r\n"),
  ),
});

describe("who comes today", () => {
  it("ticked by hand, with the hour: on top of the list, below every stop", async () => {
    await visit(at.page, "/");
    await at.page.getByRole("button", { name: "Who comes today" }).click();
    await dialog().getByRole("searchbox").fill("osterby");
    await dialog()
      .getByRole("checkbox", { name: /Osterby/ })
      .check();
    await dialog().getByLabel("Time of Ragnhild Osterby").fill("09:30");
    await dialog().getByRole("button", { name: "Save" }).click();
    await expect
      .poll(async () => (await names()).find((text) => !text.includes("Stopped")), { timeout: 5_000 })
      .toContain("09:30");
    const all = await names();
    expect(all[0]).toContain("Stopped");
    expect(all.find((text) => text.includes("09:30"))).toContain("Osterby");
  });

  it("read from the practice's calendar: what it names is ticked, what it does not is told", async () => {
    await at.page.getByRole("button", { name: "Who comes today" }).click();
    await dialog()
      .locator("input[type=file]")
      .setInputFiles(file(["1415", "SANDOVAL\\, Birgit"], ["1200", "Team meeting"]));
    await dialog().getByTestId("file-words").waitFor();
    expect(await dialog().getByTestId("file-words").innerText()).toBe(
      "1 of 2 entries of today recognised.\n\nNames nobody here: “Team meeting”",
    );
    expect(
      await dialog()
        .getByRole("checkbox", { name: /Sandoval/ })
        .isChecked(),
    ).toBe(true);
    await dialog().getByRole("button", { name: "Save" }).click();
    await at.page.getByRole("button", { name: /^Today\s*2/ }).click();
    await expect.poll(async () => (await names()).length, { timeout: 5_000 }).toBe(2);
    const [first = "", second = ""] = await names();
    expect(first).toContain("Osterby");
    expect(second).toContain("14:15");
  });

  it("a file that is no calendar is told, and nothing that was ticked is lost", async () => {
    await at.page.getByRole("button", { name: "Who comes today" }).click();
    const mail = { name: "mail.ics", mimeType: "text/calendar", buffer: Buffer.from("See you tomorrow") };
    await dialog().locator("input[type=file]").setInputFiles(mail);
    await dialog()
      .getByText(/is no calendar: save it from your calendar as an .ics file/)
      .waitFor();
    at.person.complaints.splice(0);
    expect(await dialog().getByRole("checkbox", { checked: true }).count()).toBe(2);
    await dialog()
      .getByRole("checkbox", { name: /Osterby/ })
      .uncheck();
    await dialog().getByRole("button", { name: "Save" }).click();
    await expect.poll(async () => (await names()).length, { timeout: 5_000 }).toBe(1);
  });
});

describe("the patient's calendar", () => {
  it("an address is made once and can be ended; the file needs a kept week, and says so", async () => {
    await visit(at.page, "/");
    await at.page
      .getByTestId("caseload")
      .getByRole("link", { name: /Stanhope/ })
      .click();
    await at.page.waitForURL("**/episodes/*");
    await visit(at.page, `${at.page.url()}/phone`);
    const card = at.page.getByTestId("calendar");
    await card.getByText("No day is laid out yet: keep a week first.").waitFor();
    await card.getByRole("button", { name: "Make an address" }).click();
    const address = await card.getByTestId("feed-address").innerText();
    const read = await fetch(address);
    expect(read.status).toBe(200);
    expect(await read.text()).toMatch(/^BEGIN:VCALENDAR/);
    await card.getByRole("button", { name: "End the address" }).click();
    await card.getByTestId("feed-address").waitFor({ state: "detached" });
    expect((await fetch(address)).status).toBe(404);
  });
});
