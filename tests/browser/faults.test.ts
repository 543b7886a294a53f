import { v7 as uuid } from "uuid";
import { expect, it } from "vitest";
import { awake, pick, visit } from "~tests/harness/browser";
import { fencer } from "~tests/harness/story";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

const session = `/episodes/${fencer}/session`;

it("every beginning of a quick line is answered in words, and the session stays", async () => {
  const { page } = at.person;
  await visit(page, session);
  const line = page.getByLabel("Quick line");
  for (const text of [
    "fault",
    "3x12 fault",
    "slight",
    "limit",
    "3x12 limit pinch",
    "left",
    ":",
    "pain",
    "3x",
  ]) {
    await line.fill(text);
    expect(await page.locator("#quick-reading").innerText(), text).not.toBe("");
  }
  await line.fill("3x12 fault");
  expect(await page.locator("#quick-reading").innerText()).toContain("which fault");
  expect(await page.getByTestId("quick-line").count()).toBe(1);
});

it("an intake that is changed shows the new proposal, and says when a choice in the old one went with it", async () => {
  const { page } = at.person;
  await visit(page, "/intake");
  await page.getByRole("button", { name: "None of these" }).click();
  await page.getByLabel("Given name").fill("Ottar");
  await page.getByLabel("Family name").fill("Testvik");
  await page.getByLabel("Born on").fill("1990-05-05");
  await page.getByLabel("Sport or work").fill("Cook");
  await page.getByLabel("Agrees").check();
  await page.getByLabel("Pathway").selectOption("kneecap-pain");
  await page.getByLabel("Injured side").selectOption("left");
  await page.getByLabel("What happened, as referred").fill("Pain on stairs");
  await page.getByLabel("Since").fill("2026-02-02");
  await page.getByLabel("Own task 1").fill("Stairs");
  await page.getByLabel("Now, 0–10").fill("4");
  const sign = page.getByRole("button", { name: "Sign stage and plan" });
  await sign.and(page.locator(":enabled")).waitFor();
  await page.getByTestId("placing").getByLabel("Knee extensors").selectOption("");
  for (const irritability of ["high", "low"]) {
    const answer = page.waitForResponse("**/api/intakes/placing");
    await page.getByLabel("Irritability").selectOption(irritability);
    expect(await sign.isDisabled()).toBe(true);
    expect((await answer).ok()).toBe(true);
    await sign.and(page.locator(":enabled")).waitFor();
    await page.getByText("What you had chosen in the one before is not in it").waitFor();
    expect(await page.getByLabel("Given name").inputValue()).toBe("Ottar");
  }
});

it("a kept session of another shape is passed over, wherever it lies", async () => {
  const { page } = at.person;
  await visit(page, session);
  await page.evaluate(
    (id) => sessionStorage.setItem(`session-${id}`, '{"draft":{"items":7},"savedAt":null}'),
    fencer,
  );
  await page.request.post(`/api/episodes/${fencer}/session-draft`, {
    headers: { origin: at.url },
    data: { id: uuid(), body: { items: [{ sets: "none" }] } },
  });
  await visit(page, session);
  expect(await page.getByTestId("quick-line").count()).toBe(1);
  expect(await page.getByTestId("resumed").count()).toBe(0);
  await page.getByLabel("Quick line").fill("5x10s 110n p1 e6");
  await page.keyboard.press("Enter");
  await page.getByText(/noted/).waitFor();
});

it("a view that cannot be drawn says so, keeps what was typed, and lets one begin anew", async () => {
  const { page } = at.person;
  await visit(page, session);
  await pick(page, "Pain before, at the site", 1);
  await page.getByLabel("Minutes in all").fill("25");
  await page.getByLabel("Quick line").fill("5x10s 110n p1 e6");
  await page.keyboard.press("Enter");
  // An answer that no version of the product gives.
  await page.route("**/signals", (route) =>
    route.fulfill({ status: 201, json: { id: "x", repeated: false, stair: {} } }),
  );
  await page.getByRole("button", { name: "Something is wrong" }).click();
  const dialog = page.getByTestId("raise-signal");
  await dialog.getByRole("button", { name: /Calf hot/ }).click();
  await dialog.getByRole("button", { name: "Raise: suspends the whole plan" }).click();
  await page.getByRole("heading", { name: "This view has stopped" }).waitFor();
  expect(await page.getByLabel("What stood in its fields").inputValue()).toContain("25");
  expect(await page.getByRole("banner").count()).toBe(1);
  await page.unroute("**/signals");
  at.person.complaints.splice(0);
  await page.getByRole("button", { name: /Begin anew/ }).click();
  await page.waitForURL("**/session?anew=1");
  await awake(page);
  expect(await page.getByTestId("quick-line").count()).toBe(1);
});

it("an answer that was lost and a second press record a visit once", async () => {
  const { page } = at.person;
  await visit(page, `/episodes/${fencer}/measures`);
  const sent: string[] = [];
  let lost = false;
  await page.route("**/measures", async (route) => {
    if (route.request().method() !== "POST") return route.continue();
    sent.push(route.request().postData() ?? "");
    if (lost) return route.continue();
    lost = true;
    // It arrives, and the answer does not come back.
    await route.fetch();
    return route.abort();
  });
  await page.getByPlaceholder("Name").fill("Hip adduction, isometric");
  await page.getByRole("button", { name: "Hip adduction, isometric", exact: true }).click();
  await page.getByLabel("Hip adduction, isometric, left, trial 1").fill("205");
  const record = page.getByRole("button", { name: "Record the visit" });
  await record.click();
  await page.getByRole("alert").waitFor();
  await record.click();
  await page
    .getByText(/recorded/i)
    .first()
    .waitFor();
  await page.unroute("**/measures");
  expect(sent).toHaveLength(2);
  expect(sent[1]).toBe(sent[0]);
  const visits = await page.evaluate(async (id) => {
    const file = (await (await fetch(`/api/episodes/${id}/case`)).json()) as {
      results: { takenOn: string; value: number }[];
    };
    return file.results.filter(({ takenOn, value }) => takenOn === "2026-03-10" && value === 205).length;
  }, fencer);
  expect(visits).toBe(1);
  at.person.complaints.splice(0);
});
