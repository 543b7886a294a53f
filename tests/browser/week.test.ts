import { beforeAll, expect, it } from "vitest";
import { violationsOf, wcag } from "~tests/harness/axe";
import { atBrowser } from "~tests/harness/at-browser";
import { nextFrames, openStair, phone, signIn, tablet, visit } from "~tests/harness/browser";

const at = atBrowser();
let path = "";

beforeAll(async () => {
  await openStair(at.page, "Holloway");
  path = `${new URL(at.page.url()).pathname}/week?from=2026-03-16`;
});

const day = (date: string) => at.page.getByTestId(`day-${date}`);
const status = () => at.page.getByTestId("week-status").innerText();

it("is proposed whole, with what gives way in words", async () => {
  const { page } = at;
  await visit(page, path);
  expect(await status()).toContain("Not kept yet");
  const cards = await page.getByTestId("week-grid").getByRole("listitem").count();
  expect(cards).toBeGreaterThan(8);
  const words = await page.getByTestId("lacking").innerText();
  expect(words).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}/);
  expect(await page.getByTestId("broken").count()).toBe(0);
});

it("a piece is moved by buttons, judged at once, locked, and the rest planned around it; kept and found again", async () => {
  const { page } = at;
  await visit(page, path);
  const piece = day("2026-03-16").getByRole("button", { name: /Forearm plank/ });
  await piece.click();
  await page
    .getByTestId("selected")
    .getByRole("button", { name: /17 Mar/ })
    .click();
  // Tuesday has no minutes: said at once, and it cannot be kept.
  expect(await page.getByTestId("broken").innerText()).toMatch(/Tuesday: [\d.]+ minutes of work, 0 at hand/);
  await page.getByRole("button", { name: "Keep this week" }).click();
  await page
    .getByRole("alert")
    .getByText(/0 at hand/)
    .waitFor();
  await day("2026-03-17")
    .getByLabel(/Minutes at hand/)
    .fill("30");
  expect(await page.getByTestId("broken").count()).toBe(0);
  await page.getByTestId("selected").getByRole("button", { name: "Lock on this day" }).click();
  await page.getByRole("button", { name: "Plan the rest" }).click();
  await expect.poll(status).toMatch(/best week/);
  const locked = day("2026-03-17").getByRole("button", { name: /Forearm plank.*locked/ });
  await locked.waitFor();
  await page.getByRole("button", { name: "Keep this week" }).click();
  await expect.poll(status).toMatch(/^Kept .* by /);
  await visit(page, path);
  expect(await status()).toMatch(/^Kept .* by /);
  await locked.waitFor();
  // The browser noted the one refusal.
  expect(at.person.complaints.splice(0)).toEqual([expect.stringContaining("422")]);
});

it("the rest is planned in the browser, also without a connection; by the server where the browser cannot, and alike", async () => {
  const { page } = at;
  await visit(page, path);
  const asked: string[] = [];
  page.on("request", (request) => void asked.push(new URL(request.url()).pathname));
  const byServer = () => asked.filter((where) => where.endsWith("/week-solutions")).length;
  const plan = async (minutes: string) => {
    await day("2026-03-19")
      .getByLabel(/Minutes at hand/)
      .fill(minutes);
    await page.getByRole("button", { name: "Plan the rest" }).click();
    await expect.poll(status, { timeout: 15_000 }).toMatch(/best week/);
    return page.getByTestId("week-grid").innerText();
  };
  const here = await plan("30");
  expect(byServer()).toBe(0);
  await page.context().setOffline(true);
  await plan("0");
  await page.context().setOffline(false);
  expect(byServer()).toBe(0);
  await page.route(/week-planner/, (route) => route.abort());
  expect(await plan("30")).toBe(here);
  expect(byServer()).toBe(1);
  await page.unroute(/week-planner/);
  // The browser noted the planner that was kept from it.
  at.person.complaints.splice(0);
});

it("a piece is dragged to another day, and undone", async () => {
  const { page } = at;
  await visit(page, path);
  const card = day("2026-03-16").getByRole("button", { name: /Hip hinge/ });
  const from = await card.boundingBox();
  const to = await day("2026-03-19").boundingBox();
  if (!from || !to) throw new Error("both are on the page");
  await page.mouse.move(from.x + 20, from.y + 12);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + 120, { steps: 8 });
  await page.mouse.up();
  await day("2026-03-19")
    .getByRole("button", { name: /Hip hinge/ })
    .waitFor();
  expect(await status()).toContain("Changed by hand");
  await page.getByRole("button", { name: "Undo" }).click();
  await card.waitFor();
  expect(
    await day("2026-03-19")
      .getByRole("button", { name: /Hip hinge/ })
      .count(),
  ).toBe(0);
});

it("a match day pushes heavy work away; locks that clash are named", async () => {
  const { page } = at;
  await visit(page, path);
  await day("2026-03-17").getByLabel("match").check();
  const broken = page.getByTestId("broken");
  await broken.waitFor();
  expect(await broken.innerText()).toMatch(/heavy for the legs right before a match/);
  const step = day("2026-03-16").getByRole("button", { name: /Side step-up/ });
  await step.click();
  await page.getByTestId("selected").getByRole("button", { name: "Lock on this day" }).click();
  await page.getByRole("button", { name: "Plan the rest" }).click();
  const clash = page.getByRole("alert").filter({ hasText: "cannot hold together" });
  await clash.waitFor();
  expect(await clash.innerText()).toMatch(/Side step-up on Monday is locked/);
});

it("next week begins from this one; on paper it has days, order and doses", async () => {
  const { page } = at;
  await visit(page, path);
  await page.getByRole("link", { name: "The week after" }).click();
  await page.waitForURL("**/week?from=2026-03-23");
  await page.getByRole("button", { name: "As last week" }).waitFor();
  await page.emulateMedia({ media: "print" });
  const paper = await page.getByTestId("week-print").innerText();
  expect(paper).toContain("Casimir Holloway");
  expect(paper).toMatch(/Mon 23 Mar, \d+ min/);
  expect(paper).toMatch(/Hip hinge, .*: \d × /);
  await page.emulateMedia({ media: "screen" });
});

it("axe finds nothing in both themes; a phone holds it, with targets large enough", async () => {
  const { page } = at;
  await visit(page, path);
  await day("2026-03-16")
    .getByRole("button", { name: /Hip hinge/ })
    .click();
  for (const theme of ["quarry", "quarry-night"]) {
    await page.evaluate((wanted) => (document.documentElement.dataset["theme"] = wanted), theme);
    await nextFrames(page);
    expect(await violationsOf(page, wcag), theme).toEqual([]);
  }
  await page.setViewportSize(phone);
  await nextFrames(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
  const small = await page.$$eval("main button, main a", (all) =>
    all
      .filter((e) => e.getClientRects().length > 0 && e.getBoundingClientRect().height < 43.5)
      .map((e) => e.textContent),
  );
  expect(small).toEqual([]);
  await page.setViewportSize(tablet);
});

it("a day that was missed is said, moves nothing by itself, and the rest is planned anew on request", async () => {
  const { page } = at;
  await visit(page, path);
  const keep = page.getByRole("button", { name: "Keep this week" });
  if (await keep.isEnabled()) await keep.click();
  await expect.poll(status, { timeout: 20_000 }).toMatch(/^Kept/);
  const laid = await page.getByTestId("week-grid").getByRole("listitem").allInnerTexts();
  at.servers.setClock("2026-03-19T09:00:00.000Z");
  await signIn(page);
  await visit(page, path);
  const missed = page.getByTestId("missed");
  expect(await missed.innerText()).toMatch(/laid out and not done \(.*\). Nothing moves by itself\./);
  expect(await page.getByTestId("week-grid").getByRole("listitem").allInnerTexts()).toEqual(laid);
  await missed.getByRole("button", { name: "Plan the rest of the week again" }).click();
  await expect.poll(status, { timeout: 20_000 }).toMatch(/Not kept yet/);
  await page.getByTestId("weeks-ahead").getByRole("heading", { name: "Four weeks ahead" }).waitFor();
  expect(await page.getByTestId("weeks-ahead").getByRole("heading", { level: 3 }).count()).toBe(4);
});
