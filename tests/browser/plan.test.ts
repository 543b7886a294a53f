import { expect, it } from "vitest";
import { nextFrames, openStair } from "~tests/harness/browser";
import { atBrowser } from "~tests/harness/at-browser";

const at = atBrowser();

it("p opens the plan: dose, minutes, and the knob that is next, both ways", async () => {
  const { page } = at.person;
  await openStair(page, "Stanhope");
  await page.keyboard.press("p");
  await page.waitForURL("**/plan");
  const hinge = page.getByTestId("plan-hinge");
  expect(await hinge.innerText()).toMatch(/\d min/);
  expect(await hinge.getByTestId("harder").innerText()).toMatch(/^.+ \(.+: .+ → .+\)$/);
  const squat = page.getByTestId("plan-two-leg-squat");
  expect(await squat.getByTestId("harder").innerText()).toMatch(/^knee bend: \d+° → \d+°$/);
  expect(await page.getByTestId("plan-sum").innerText()).toMatch(/^6 exercises · \d+ min/);
});

it("a lane nobody fills leads to what would fill it; one key and a word find it; it joins the plan", async () => {
  const { page } = at.person;
  await page.getByTestId("empty-lanes").getByRole("button", { name: "Balance" }).click();
  await page.getByTestId("hits").getByText("Single-leg stance").waitFor();
  expect(await page.getByTestId("hits").getByText("Bridge").count()).toBe(0);
  await page.locator("h1").click();
  await page.keyboard.press("/");
  await page.keyboard.type("eyes closed");
  const add = page.getByRole("button", { name: "Add: Single-leg stance, Eyes closed", exact: true });
  await add.click();
  await page.getByTestId("plan-single-leg-stance").waitFor();
  expect(await page.getByTestId("empty-lanes").getByRole("button").allInnerTexts()).toEqual([
    "Hip extensors",
  ]);
  expect(await page.getByTestId("plan-sum").innerText()).toMatch(/^7 exercises/);
});

it("an item leaves with its reason", async () => {
  const { page } = at.person;
  await page.getByRole("button", { name: "Take out: Single-leg stance" }).click();
  await page.getByRole("button", { name: "Sign and take out" }).click();
  expect(await page.getByRole("textbox", { name: /Why/ }).getAttribute("aria-invalid")).toBe("true");
  await page.getByRole("textbox", { name: /Why/ }).fill("Stands a minute already");
  await page.getByRole("button", { name: "Sign and take out" }).click();
  await page.getByTestId("plan-single-leg-stance").waitFor({ state: "detached" });
});

it("an item taken out by a slip is back by one tap, until the next act", async () => {
  const { page } = at.person;
  const names = () =>
    page
      .getByRole("button", { name: /^Take out: / })
      .evaluateAll((buttons) => buttons.map((button) => button.getAttribute("aria-label")));
  const undo = page.getByTestId("undo");
  expect(await undo.innerText()).toContain("Single-leg stance was taken out.");
  const before = await names();
  await page.getByRole("button", { name: "Take out: Forearm plank" }).focus();
  await page.keyboard.press("Enter");
  // The button is gone, and the reason has the focus: letters are words, and no commands of the page.
  await page.keyboard.type("Meant another one");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await undo.getByText("Forearm plank was taken out.").waitFor();
  expect(await names()).toHaveLength(before.length - 1);
  await undo.getByRole("button", { name: "Undo" }).click();
  await undo.waitFor({ state: "detached" });
  expect(await names()).toEqual(before);
  // The focus is not lost with the button.
  expect(await page.evaluate(() => document.activeElement?.closest("main") !== null)).toBe(true);
});

it("the plan is put in order by keys and by the usual order, with a circuit, signed as one", async () => {
  const { page } = at.person;
  await page.getByRole("button", { name: "Order, roles, circuits" }).click();
  const form = page.getByTestId("arrange");
  const names = () => form.getByTestId("arrange-line").locator("p").allInnerTexts();
  await form.getByTestId("arrange-line").first().waitFor();
  const before = await names();
  const plain = (line = "") => line.replace(/^\d+\. /, "");
  const first = plain(before[0]);
  await form.getByRole("button", { name: `Down: ${first}` }).click();
  expect((await names()).map(plain).indexOf(first)).toBe(1);
  // The handle moves by keys as well: lifted, moved up, put down.
  await form.getByRole("button", { name: `Move: ${first}` }).focus();
  await page.keyboard.press("Space");
  await page.getByText(`${first}: place 2`).waitFor({ state: "attached" });
  // It listens for keys a moment after it says that it is lifted: later than a machine presses them, sooner than a hand.
  await nextFrames(page);
  await page.keyboard.press("ArrowUp");
  await page.getByText(`${first}: place 1`).waitFor({ state: "attached" });
  await page.keyboard.press("Space");
  await expect.poll(async () => (await names()).map(plain)[0]).toBe(first);
  await form.getByLabel(`Role: ${first}`).selectOption("primer");
  await form.getByRole("button", { name: "Usual order" }).click();
  expect((await names()).map(plain)[0]).toBe(first);
  await form.getByLabel("in a circuit with the one above").nth(1).check();
  await form.getByLabel("Rest between rounds, s").fill("-5");
  await form.getByRole("button", { name: "Sign this order" }).click();
  await form.getByText(/Rest between rounds, s: must be 0 or more/).waitFor();
  expect(at.person.complaints.splice(0).every((complaint) => complaint.includes("422"))).toBe(true);
  await form.getByLabel("Rest between rounds, s").fill("45");
  await form.getByRole("button", { name: "Sign this order" }).click();
  await form.waitFor({ state: "detached" });
  expect(await page.getByTestId("plan-items").getByText("Circuit 1, 45 s rest between rounds").count()).toBe(
    2,
  );
  expect(await page.getByTestId("plan-items").locator("li").first().innerText()).toContain("primer");
});

it("the same exercise in another setting, with a dose typed while adding, is named apart", async () => {
  const { page } = at.person;
  await page.getByRole("searchbox").fill("two-leg squat");
  await page.getByRole("combobox", { name: "Lane", exact: true }).selectOption("");
  await page.getByLabel("Only what this stage allows").uncheck();
  // From a box just ticked the search is one key away.
  await page.keyboard.press("/");
  expect(await page.evaluate(() => document.activeElement?.getAttribute("type"))).toBe("search");
  // Down from the words to the hits, from hit to hit, and straight into the form.
  await page
    .getByRole("button", { name: /^Set dose and add: Two-leg squat/ })
    .nth(1)
    .waitFor();
  for (const key of ["ArrowDown", "ArrowDown", "ArrowDown", "ArrowUp", "Enter"])
    await page.keyboard.press(key);
  const form = page.getByTestId("add-with-dose");
  await form.waitFor();
  expect(await page.evaluate(() => document.activeElement?.getAttribute("name"))).toBe("line");
  const line = form.getByLabel("The dose in one line");
  const read = form.getByTestId("dose-line-read");
  await line.fill("1x12 turned wobbly 10kg");
  await read.getByText("Not understood: wobbly").waitFor();
  // What nobody understood is not left out in silence.
  await form.getByRole("button", { name: "Add", exact: true }).click();
  expect(await page.evaluate(() => document.activeElement?.getAttribute("name"))).toBe("line");
  await line.fill("1x12 turned");
  await read.getByText("1 × 12 · foot turn turned out").waitFor();
  expect(await form.getByLabel("foot turn").inputValue()).toBe("turned-out");
  // What was changed by hand stays, with the form as it stood then, whatever the line goes on to say.
  await form.getByLabel("Rest (s)").fill("75");
  await line.fill("1x12 turned primer 2/week");
  await read.getByText("Days a week: 2").waitFor();
  expect(await form.getByLabel("Rest (s)").inputValue()).toBe("75");
  expect(await form.getByLabel("primer").isChecked()).toBe(true);
  await line.fill("turned primer");
  expect(await form.getByLabel("Repetitions", { exact: true }).inputValue()).toBe("12");
  await form.getByRole("button", { name: "Add", exact: true }).click();
  const yes = form.getByRole("button", { name: "Yes, meant so" });
  await Promise.race([yes.waitFor(), form.waitFor({ state: "detached" })]);
  if (await yes.isVisible()) await yes.click();
  await form.waitFor({ state: "detached" });
  const squats = page.getByTestId("plan-two-leg-squat");
  expect(await squats.count()).toBe(2);
  const texts = await squats.allInnerTexts();
  for (const text of texts) expect(text).toMatch(/^Two-leg squat: /);
  expect(new Set(texts).size).toBe(2);
});

it("a list is composed from what was hurt and found, and one goes out before one comes in", async () => {
  const { page } = at.person;
  await page.getByRole("button", { name: "Compose a list" }).click();
  const form = page.getByTestId("compose");
  await form.getByRole("button", { name: "ankle", exact: true }).click();
  await form.getByRole("button", { name: "short side plank" }).click();
  await form.getByRole("button", { name: "Compose", exact: true }).click();
  const rows = form.getByTestId("composed").locator("li");
  await rows.first().waitFor();
  expect(await rows.first().innerText()).toMatch(/must[\s\S]*Because: (ankle hurt before|short side plank)/);
  const count = await rows.count();
  await rows.first().getByRole("button").click();
  expect(await rows.count()).toBe(count - 1);
  await form.getByTestId("composed-spare").getByRole("button").first().click();
  expect(await rows.count()).toBe(count);
  await form.getByRole("button", { name: "Cancel" }).click();
  await form.waitFor({ state: "detached" });
});

it("what fits nothing says so", async () => {
  const { page } = at.person;
  await page.getByRole("searchbox").fill("zzzz");
  await page.getByText("Nothing fits. Take a filter away.").waitFor();
  await page.getByRole("searchbox").fill("squat on the moon");
  await page.getByText("Nothing has all of these words. Nearest, whatever the filters:").waitFor();
  await page.getByTestId("hits").getByText("Two-leg squat").waitFor();
});

it("a new limit of the surgeon names the items it rules out, with its words, and is there to be changed again", async () => {
  const { page } = at.person;
  const box = page.getByTestId("circumstances");
  await box.getByText("Days, minutes, kit or limits have changed").click();
  await box.getByLabel("Kit").selectOption("gym");
  await box.getByRole("button", { name: "Add a limit" }).click();
  await box.getByLabel("To °").fill("20");
  await box.getByLabel("Until").fill("2026-04-30");
  await box.getByLabel("Reason").fill("Letter of the surgeon");
  await box.getByRole("button", { name: "Sign and look at the plan again" }).click();
  await page
    .getByTestId("plan-two-leg-squat")
    .first()
    .getByText("No longer fits: knee bend to 20°")
    .waitFor();
  expect(await page.getByTestId("plan-front-plank").getByText("No longer fits").count()).toBe(0);
  await page.reload({ waitUntil: "networkidle" });
  await box.getByText("Days, minutes, kit or limits have changed").click();
  expect(await box.getByLabel("To °").inputValue()).toBe("20");
  expect(await box.getByLabel("Until").inputValue()).toBe("2026-04-30");
});

it("any dose is typed by hand on the stair, its reason asked only where it goes against, and stands there signed", async () => {
  const { page } = at.person;
  await openStair(page, "Falkenrath");
  const hinge = page.getByTestId("item-hinge");
  await hinge.locator("button").first().click();
  await hinge.getByRole("button", { name: "Set dose by hand" }).click();
  const form = page.getByTestId("prescribe");
  await form.getByText("Nothing changed yet").waitFor();
  await form.getByLabel("Sets", { exact: true }).fill("2");
  await form.getByLabel("Rest (s)").fill("200");
  await form.getByText(/^2 × /).waitFor();
  expect(await form.getByRole("textbox", { name: /Reason/ }).count()).toBe(0);
  await form.getByLabel("down", { exact: true }).fill("4");
  await form.getByLabel("half up").fill("2");
  await form.getByRole("textbox", { name: /Reason/ }).fill("Slower, she rushes the way down");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await form.waitFor({ state: "detached" });
  expect(await hinge.innerText()).toContain("2 × ");
  expect(await hinge.innerText()).toContain("tempo 4-0-1.5-0 · 2 s half-way up");
});
