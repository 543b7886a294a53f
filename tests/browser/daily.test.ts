import { describe, expect, it } from "vitest";
import { awake, openStair, pick, signIn, visit, visitor, whole } from "~tests/harness/browser";
import { quickLine, recordByLines } from "~tests/harness/session";
import { demoClinic } from "~demo/clinic";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

const lastSession = async (stair: string) => {
  await visit(at.page, `${stair}/record`);
  return at.page.locator('[data-kind="session"]').first().innerText();
};

describe("a session by quick line", () => {
  it("shows its reading, points at what it does not understand, completes, and records six exercises", async () => {
    await openStair(at.page, "Stanhope");
    const stair = at.page.url();
    await at.page.keyboard.press("s");
    await at.page.waitForURL("**/session");
    await awake(at.page);
    await pick(at.page, "Pain before, at the site", 1);
    await at.page.keyboard.press("Escape");
    const box = at.page.getByTestId("quick-line");
    const line = box.getByLabel("Quick line");
    await line.fill("5x15s 220n p1 e7 wobble");
    expect(await box.locator("mark").innerText()).toBe("wobble");
    expect(await box.innerText()).toContain("is not a word of the quick line");
    expect(await box.getByRole("button", { name: "Take it" }).isDisabled()).toBe(true);
    await line.fill("hinge: 12 8kg p0 e6 fault back 2");
    expect(await box.innerText()).toContain("Back rounds, marked, reps: 2");
    await line.fill("5x15s 220n p1 eff");
    await at.page.keyboard.press("Tab");
    expect(await line.inputValue()).toBe("5x15s 220n p1 effort ");
    await at.page.keyboard.type("7");
    expect(await box.innerText()).toContain("Reads as Ball squeeze: 5 × 15 s at 220 N; pain 1, effort 7");
    await at.page.keyboard.press("Enter");
    await quickLine(at.page, "slide: 2x10 p2 e6");
    await quickLine(at.page, "3: 2x15 p0 e6");
    await quickLine(at.page, "hinge: 12 8kg p0 e6 / 12 e7 / 10 p1 e8");
    await quickLine(at.page, "leg lift: left 2x20 hold 3 p0 e5; right 2x20 hold 3 p0 e5");
    await at.page.getByRole("button", { name: "Record the session" }).click();
    await at.page.getByTestId("session-summary").waitFor();
    expect(await at.page.getByTestId("session-summary").innerText()).toContain(
      "Not done today: Forearm plank.",
    );
    const said = await lastSession(stair);
    expect(said).toContain("Ball squeeze: 5 × 15 s at 220 N; pain 1, effort 7");
    expect(said).toMatch(/Adductor slide: 2 × 10 left; 2 × 10 right; pain 2, effort 6/);
    expect(said).toContain("Hip hinge: 2 × 12 at 8 kg, 1 × 10 at 8 kg; pain 1, effort 8");
  });
});

describe("a session by taps", () => {
  it("one exercise at a time; a fault in two taps with the repetitions it spoiled", async () => {
    await openStair(at.page, "Holloway");
    const stair = at.page.url();
    await visit(at.page, `${stair}/session`);
    await pick(at.page, "Pain before, at the site", 1);
    await at.page
      .getByTestId("session-rail")
      .getByRole("button", { name: /Side step-up/ })
      .click();
    const work = at.page.getByTestId("session-side-step-up");
    await work.getByRole("spinbutton", { name: "Reps" }).fill("10");
    await pick(at.page, "Worst pain during", 2);
    await pick(at.page, "Effort", 7);
    await work.getByRole("button", { name: /Knee/ }).first().click();
    await work.getByRole("button", { name: "4", exact: true }).click();
    await at.page.getByRole("button", { name: "Next exercise" }).click();
    expect(await at.page.getByTestId("session-rail").innerText()).toMatch(/Side step-up\s+done/);
    await at.page.getByRole("button", { name: "Record the session" }).click();
    await at.page.getByTestId("session-summary").waitFor();
    expect(await lastSession(stair)).toMatch(
      /Side step-up: 3 × 10 right; 3 × 10 left; pain 2, effort 7; Knee.*, reps: 4/,
    );
  });

  it("a rest timer counts down; sets that differ are entered one by one; fear asks how sure", async () => {
    await openStair(at.page, "Holloway");
    await visit(at.page, `${at.page.url()}/session`);
    await at.page.getByTestId("timers").getByRole("button", { name: /^Rest/ }).click();
    const face = at.page.getByTestId("timer-face");
    const first = Number(await face.innerText());
    await at.page.waitForFunction(
      (from) => Number(document.querySelector("[data-testid=timer-face]")?.textContent) < from,
      first,
    );
    await at.page.getByTestId("timers").getByRole("button", { name: "Stop" }).click();
    const sets = Number(await at.page.locator("output").first().innerText());
    await at.page.getByLabel("Sets differ").check();
    await whole(at.page);
    expect(await at.page.getByRole("button", { name: /^Set \d/ }).count()).toBe(2 * sets);
    await at.page.getByLabel("What set the limit").selectOption("fear");
    await pick(at.page, "How sure of managing it", 4);
  });

  it("is found again on another device, with who began it", async () => {
    await at.page.getByTestId("kept").getByText("Kept").waitFor();
    const other = await visitor(at.browser, at.url);
    await signIn(other.page, "assistant");
    await openStair(other.page, "Holloway");
    await visit(other.page, `${other.page.url()}/session`);
    expect(await other.page.getByTestId("resumed").innerText()).toContain("begun by Jorun Vask");
    expect(await other.page.getByLabel("Sets differ").isChecked()).toBe(true);
    await other.context.close();
  });

  it("what was done outside the plan stands in the record and not in the plan", async () => {
    await openStair(at.page, "Darrow");
    const stair = at.page.url();
    await visit(at.page, `${stair}/session`);
    await pick(at.page, "Pain before, at the site", 0);
    await quickLine(at.page, "5x10s 110n p0 e6");
    await at.page.getByText("Something outside the plan").click();
    await at.page.getByLabel("Find it").fill("calf raise");
    await at.page
      .getByRole("button", { name: /Heel raise/ })
      .first()
      .click();
    await at.page.getByText("outside the plan", { exact: true }).waitFor();
    await pick(at.page, "Worst pain during", 0);
    await pick(at.page, "Effort", 5);
    await at.page.getByRole("button", { name: "Record the session" }).click();
    await at.page.getByTestId("session-summary").waitFor();
    expect(await at.page.getByTestId("items").locator("> ul > li").count()).toBe(1);
    expect(await lastSession(stair)).toMatch(/raise/i);
  });

  it("a correction takes the place of what it corrects; both stay", async () => {
    await at.page.getByRole("link", { name: "Correct", exact: true }).first().click();
    await at.page.waitForURL("**/session?correct=*");
    await awake(at.page);
    expect(await at.page.locator("main").innerText()).toContain("Corrects the session of");
    await quickLine(at.page, "5x10s 95n p1 e6");
    await at.page.getByRole("button", { name: "Record the session" }).click();
    await at.page.getByTestId("session-summary").waitFor();
    await visit(at.page, at.page.url().replace(/session\?.*/, "record"));
    const entries = await at.page.locator('[data-kind="session"]').allInnerTexts();
    expect(entries.filter((text) => text.includes("Corrected later; not judged any more."))).toHaveLength(1);
    expect(entries.some((text) => text.includes("Corrects an earlier entry.") && text.includes("95 N"))).toBe(
      true,
    );
  });
});

describe("something is wrong", () => {
  it("a hot calf suspends the whole plan, says whom to call, stands first on the caseload", async () => {
    await openStair(at.page, "Stanhope");
    const stair = at.page.url();
    await at.page.getByRole("button", { name: "Something is wrong" }).click();
    const dialog = at.page.getByTestId("raise-signal");
    await dialog.getByRole("button", { name: /Calf hot/ }).click();
    await dialog.getByLabel(/In the patient's words/).fill("since the drive yesterday");
    await dialog.getByRole("button", { name: "Raise: suspends the whole plan" }).click();
    const banner = at.page.getByTestId("signals");
    await banner.waitFor();
    expect(await banner.innerText()).toContain("To a doctor today. Calf hot, swollen, tender");
    expect(await banner.innerText()).toContain("since the drive yesterday");
    expect(await banner.innerText()).toContain(demoClinic.calls["same-day"]);
    expect(await at.page.getByTestId("proposal").first().innerText()).toContain(demoClinic.calls["same-day"]);
    const outcomes = await at.page.getByTestId("items").getByTestId("outcome").allInnerTexts();
    expect(new Set(outcomes)).toEqual(new Set(["Stop"]));
    await visit(at.page, "/");
    const row = at.page.getByRole("link", { name: /Stanhope/ });
    expect(await row.innerText()).toContain("Stopped");
    await visit(at.page, stair);
  });

  it("a catching joint needs its exercise; only its lane stops", async () => {
    await openStair(at.page, "Holloway");
    await at.page.getByRole("button", { name: "Something is wrong" }).click();
    const dialog = at.page.getByTestId("raise-signal");
    await dialog.getByRole("button", { name: /catches or gives way/ }).click();
    const raise = dialog.getByRole("button", { name: "Raise: suspends its lane" });
    expect(await dialog.innerText()).toContain(demoClinic.calls.review);
    expect(await dialog.innerText()).toContain("Locked, or giving way again and again: refer.");
    expect(await raise.isDisabled()).toBe(true);
    await dialog.getByLabel("In which exercise").selectOption({ label: "Side step-up" });
    await raise.click();
    await at.page.getByTestId("signals").waitFor();
    expect(await at.page.getByTestId("item-side-step-up").getByTestId("outcome").innerText()).toBe("Stop");
    expect(await at.page.getByTestId("item-hinge").getByTestId("outcome").innerText()).not.toBe("Stop");
  });

  it("is cleared only in writing", async () => {
    await at.page.getByTestId("signals").getByText("Clear in writing").click();
    await at.page.getByTestId("signals").getByRole("button", { name: "Sign the clearance" }).click();
    const reason = at.page.getByTestId("signals").getByRole("textbox");
    expect(await reason.getAttribute("aria-invalid")).toBe("true");
    await reason.fill("Examined: stable, a click of the patella without effusion");
    await at.page.getByTestId("signals").getByRole("button", { name: "Sign the clearance" }).click();
    await at.page.getByTestId("signals").waitFor({ state: "detached" });
    expect(await at.page.getByTestId("item-side-step-up").getByTestId("outcome").innerText()).not.toBe(
      "Stop",
    );
  });
});

describe("the caseload in the morning", () => {
  it("is gone through by keys: next, sign, close; the list follows", async () => {
    await visit(at.page, "/");
    await at.page.getByRole("button", { name: /^Step up/ }).click();
    const before = await at.page.getByTestId("caseload").locator("li").count();
    await at.page.getByRole("button", { name: "Review one by one" }).click();
    const review = at.page.getByTestId("review");
    await review.getByTestId("items").waitFor();
    const [firstName] = await review.getByRole("heading", { level: 2 }).first().allInnerTexts();
    await at.page.keyboard.press("a");
    await review.getByTestId("last-decision").first().waitFor();
    await at.page.keyboard.press("j");
    await review.getByText(`2 of ${before}`).waitFor();
    expect(await review.getByRole("heading", { level: 2 }).first().innerText()).not.toBe(firstName);
    await at.page.keyboard.press("k");
    await review.getByText(`1 of ${before}`).waitFor();
    await at.page.keyboard.press("Escape");
    await review.waitFor({ state: "detached" });
  });

  it("a reaction can be laid at another exercise's door, with the reason", async () => {
    await openStair(at.page, "Holloway");
    const item = at.page.getByTestId("item-side-lying-adduction");
    expect(await item.getByTestId("outcome").innerText()).toBe("Ease");
    expect(await item.innerText()).toContain("made harder within the last two training days");
    await item.getByText("Another suspect").click();
    await item.getByLabel("What it is traced to instead").selectOption({ label: "Hip hinge" });
    await item.getByLabel("Reason").fill("The hinge was done on uneven ground");
    await item.getByRole("button", { name: "Sign this suspect" }).click();
    await at.page.getByTestId("item-hinge").getByText("Ease", { exact: true }).waitFor();
    expect(await at.page.getByTestId("item-side-lying-adduction").getByTestId("outcome").innerText()).toBe(
      "Hold",
    );
  });

  it("two schools part on a day that is named", async () => {
    await openStair(at.page, "Holloway");
    await at.page.getByRole("link", { name: "All pain rules side by side" }).click();
    await at.page.getByTestId("schools-table").waitFor();
    expect(await at.page.getByTestId("parting").innerText()).toMatch(/They part on \w{3} \d+ \w{3}\./);
    expect(await at.page.getByTestId("schools-table").locator("tbody tr").count()).toBeGreaterThan(5);
  });

  it("the visit note is made from the record, edited, signed, and found in it", async () => {
    await openStair(at.page, "Holloway");
    const stair = at.page.url();
    await recordByLines(at.page, stair, 1, ["hinge: 3x10 14kg p1 e7"]);
    await visit(at.page, `${stair}/document?kind=visit-note`);
    const note = at.page.getByRole("textbox", { name: "Visit note" });
    const proposed = await note.inputValue();
    expect(proposed).toContain("Casimir Holloway, 29 years, Rower.");
    expect(proposed).toContain("- Hip hinge: 3 × 10 at 14 kg; pain 1, effort 7");
    await note.fill(`${proposed}\n\nSeen with the coach.`);
    await at.page.getByRole("button", { name: "Sign and keep" }).click();
    await at.page.getByText("Signed and kept in the record.").waitFor();
    await visit(at.page, `${stair}/record`);
    const entry = at.page.locator('[data-kind="document"]').first();
    await entry.locator("summary").click();
    expect(await entry.innerText()).toContain("Seen with the coach.");
    expect(await at.page.getByTestId("replay").innerText()).toMatch(
      /of \d+ signed proposals come out the same/,
    );
  });
});
