import { engineVersion } from "~/core/decision/decide";
import { demoPeople } from "~demo/people";
import { describe, expect, it } from "vitest";
import { awake, openStair, pick, signIn, visit } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser({ signedIn: false });

const outcome = () => at.person.page.getByTestId("item-ball-squeeze").getByTestId("outcome").innerText();
const text = (testId: string) => at.person.page.getByTestId(testId).innerText();

/** Records the squeezes of the story through the form. */
async function recordSqueezes(painBefore: number, painDuring: number): Promise<void> {
  const { page } = at.person;
  await page.getByRole("link", { name: "Session", exact: true }).click();
  await page.waitForURL("**/session");
  await awake(page);
  await pick(page, "Pain before, at the site", painBefore);
  const item = page.getByTestId("session-ball-squeeze");
  expect(await item.getByRole("spinbutton", { name: "Hold" }).inputValue()).toBe("10");
  await item.getByLabel("Force").fill("110");
  await pick(page, "Worst pain during", painDuring);
  await pick(page, "Effort", 6);
  await page.getByRole("button", { name: "Record the session" }).click();
  await page.getByTestId("session-summary").waitFor();
  await page.getByRole("link", { name: "To the stair" }).click();
  await page.waitForURL(/episodes\/[^/]+$/);
  await awake(page);
}

describe("one groin strain climbs one step", () => {
  it("sign in, caseload, stair: day 16, isometric, monitored with its reason, 90–126 N", async () => {
    const { page } = at.person;
    await signIn(page);
    expect(await page.getByTestId("caseload").locator("li").count()).toBe(demoPeople.length);
    await openStair(page, "Darrow");
    const body = await page.locator("main").innerText();
    expect(body).toContain("day 16 since injury");
    expect(body).toContain("5 × 10 s · 50–70 % · 90–126 N");
    expect(await text("school")).toContain(
      "In force: monitored. Irritability is low and mild pain settles overnight",
    );
    expect(await text("limits")).toContain("maximal squeezes wait for the next stage");
    expect(await outcome()).toBe("Hold");
  });

  it("records five holds at 110 N; the stair waits for the next day", async () => {
    await recordSqueezes(1, 1);
    expect(await outcome()).toBe("Wait");
    expect(await text("proposal")).toContain("Wait: next-day report not in");
  });

  it("next morning: the session at the desk has ended; signs in again, reports pain 1: step up", async () => {
    const { page } = at.person;
    at.servers.setClock("2026-03-11T07:00:00Z");
    await page.goto("/");
    await page.waitForURL("**/sign-in");
    await signIn(page);
    expect(await page.getByRole("link", { name: /Darrow/ }).innerText()).toContain(
      "a step waits for the report of Tue 10 Mar",
    );
    await openStair(page, "Darrow");
    await pick(page, "Pain on waking", 1);
    await page.getByRole("button", { name: "Record the report" }).click();
    await page.getByTestId("report").waitFor({ state: "detached" });
    expect(await outcome()).toBe("Step up");
    expect(await text("change")).toBe("effort: 50–70 % → 70–85 % (126–153 N)");
    const evidence = await text("evidence");
    expect(evidence).toContain("Sun 8 Mar: pain 1 before, 1 during, 1 next morning; effort");
    expect(evidence).toContain("Tue 10 Mar: pain 1 before, 1 during, 1 next morning; effort 6. Counts.");
    expect(evidence).toContain("One setting changes: effort. 2 good days were needed.");
  });

  it("two tabs: the first signs, the second is told and sees what stands now", async () => {
    const { page } = at.person;
    const second = await at.person.context.newPage();
    await visit(second, page.url());
    await page.getByRole("button", { name: "Sign", exact: true }).click();
    await page.getByTestId("last-decision").waitFor();
    expect(await text("items")).toContain("5 × 10 s · 70–85 % · 126–153 N");
    expect(await text("last-decision")).toContain("Accepted by Jorun Vask, Wed 11 Mar");

    await second.getByRole("button", { name: "Sign", exact: true }).click();
    await second.getByTestId("last-decision").waitFor();
    expect(await second.getByTestId("items").innerText()).toContain("70–85 %");
    await second.close();
    expect(at.person.complaints.splice(0).every((complaint) => complaint.includes("409"))).toBe(true);
  });

  it("the record shows the proposal, its evidence, who signed and when", async () => {
    const { page } = at.person;
    await page.getByRole("link", { name: "Record", exact: true }).click();
    await page.waitForURL("**/record");
    const entry = await page.locator('[data-kind="decision"]').first().innerText();
    expect(entry).toContain("Jorun Vask");
    expect(entry).toContain("Wed 11 Mar, 08:00");
    expect(entry).toContain("Ball squeeze: Step up");
    expect(entry).toContain("Tue 10 Mar: pain 1 before");
    expect(entry).toContain(`Rules ${engineVersion}, pain rule ‘monitored’`);
    expect(await page.locator('[data-kind="session"]').first().innerText()).toContain(
      "5 × 10 s at 110 N; pain 1, effort 6",
    );
  });
});

describe("the second patient, pain-free school", () => {
  it("pain 3 during eases to 54–72 N; monitored, previewed on the same record, holds", async () => {
    const { page } = at.person;
    await openStair(page, "Achterberg");
    await recordSqueezes(0, 3);
    expect(await outcome()).toBe("Ease");
    expect(await text("change")).toBe("effort: 50–70 % → 30–40 % (54–72 N)");
    await page.getByTestId("school").getByRole("button", { name: "monitored" }).click();
    await page.getByTestId("preview").waitFor();
    expect(await outcome()).toBe("Hold");
    expect(await page.getByRole("button", { name: "Sign", exact: true }).count()).toBe(0);
    await page.keyboard.press("Escape");
    expect(await outcome()).toBe("Ease");
  });

  it("refusing asks for a reason first", async () => {
    const { page } = at.person;
    await page.getByRole("button", { name: "Refuse" }).click();
    await page.getByRole("button", { name: "Sign the refusal" }).click();
    expect(await page.getByRole("textbox", { name: /Reason/ }).getAttribute("aria-invalid")).toBe("true");
    await page
      .getByRole("textbox", { name: /Reason/ })
      .fill("Twinge came from a cough, not from the squeeze");
    await page.getByRole("button", { name: "Sign the refusal" }).click();
    await page.getByTestId("last-decision").waitFor();
    expect(await text("last-decision")).toContain("Refused by Jorun Vask");
    expect(await text("items")).toContain("50–70 %");
    expect(await outcome()).toBe("Hold");
  });
});
