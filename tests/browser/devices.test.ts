import { writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import type { Page } from "playwright-core";
import { afterAll, beforeAll, expect, it } from "vitest";
import { standIns, standInTrial } from "~/core/device/stand-in";
import type { DeviceOrder, TrialEvent } from "~/core/device/device-message";
import { violationsOf, wcag } from "~tests/harness/axe";
import {
  startBrowser,
  visitor,
  openStair,
  phone,
  signIn,
  tablet,
  visit,
  type Visitor,
} from "~tests/harness/browser";
import { startServers, type Servers } from "~tests/harness/servers";
import { startStandIns } from "../../tools/devices/stand-ins";

/** Measures taken with the stand-ins, which play forty times as fast as devices do. */
let servers: Servers;
let devices: Awaited<ReturnType<typeof startStandIns>>;
let browser: Awaited<ReturnType<typeof startBrowser>>;
let person: Visitor;
let page: Page;
let measures = "";

beforeAll(async () => {
  servers = await startServers(0);
  devices = await startStandIns({ port: 0, speed: 40, seed: 1 });
  const { url } = await servers.startApp({ DEVICE_URL: devices.url });
  browser = await startBrowser();
  person = await visitor(browser, url);
  page = person.page;
  await signIn(page);
  await openStair(page, "Marchbanks");
  measures = `${new URL(page.url()).pathname}/measures`;
});
afterAll(async () => {
  await browser.close();
  devices.stop();
  await servers.stop();
});

const panel = () => page.getByTestId("capture");
const row = (code: string) => page.getByTestId(`row-${code}`);
const open = async (code: string) => {
  await row(code)
    .getByRole("button", { name: /Take it/ })
    .click();
  await panel().getByTestId("device").waitFor();
};
const trials = () => panel().getByRole("region", { name: "Trials" }).getByRole("listitem");
/** Takes one trial and waits until it has been read. */
const take = async () => {
  const before = await panel().getAttribute("data-read");
  await panel()
    .getByRole("button", { name: /^(Start|Take)/ })
    .click();
  await expect.poll(() => panel().getAttribute("data-read"), { timeout: 10_000 }).not.toBe(before);
  await panel()
    .getByRole("button", { name: /^(Start|Take)/ })
    .and(page.locator(":enabled"))
    .waitFor();
};
const put = async () => {
  await panel().getByRole("button", { name: "Put into the grid" }).click();
  await panel().waitFor({ state: "detached" });
};
const typed = (code: string) =>
  row(code)
    .locator("input[data-code]")
    .evaluateAll((cells) => cells.map((cell) => (cell as HTMLInputElement).value));

it("ten measures are taken by device, the slipped trial again, and stand in the record with their traces", async () => {
  const codes = [
    "knee-extension-force",
    "knee-flexion-force",
    "hip-abduction-force",
    "hip-adduction-force",
    "hip-external-rotation-force",
    "hip-extension-force",
    "squeeze-force",
    "squeeze-pressure",
    "jump-height",
    "drop-jump-index",
  ];
  await visit(page, `${measures}?${codes.map((code) => `take=${code}`).join("&")}`);
  let repeated = 0;
  for (const code of codes) {
    await open(code);
    const count = await trials().count();
    for (let n = 0; n < 2 * count && (await panel().getByText("to be taken").count()) > 0; n += 1) {
      await take();
      if ((await panel().getByTestId("trial-result").getByRole("alert").count()) === 0) continue;
      expect(await panel().getByTestId("trial-result").innerText()).toMatch(
        /Repeat this trial: .*(slipped|touched twice)/,
      );
      await take();
      repeated += 1;
    }
    await put();
    const values = await typed(code);
    expect(values.length, code).toBe(count);
    for (const value of values) expect(Number(value), code).toBeGreaterThan(0);
  }
  expect(repeated).toBeGreaterThan(5);
  await page.getByRole("button", { name: "Record the visit" }).click();
  await expect.poll(() => page.getByTestId("measures-notice").innerText(), { timeout: 5000 }).toMatch(/18 /);

  await visit(page, `${measures}?take=knee-extension-force`);
  await row("knee-extension-force")
    .getByRole("button", { name: /^Knee extension, isometric/ })
    .click();
  const trend = page.getByTestId("trend");
  await trend.getByRole("button", { name: "Traces" }).click();
  const drawn = trend.getByTestId("traces").getByRole("img");
  await drawn.first().waitFor();
  expect(await drawn.count()).toBe(6);
  expect(await drawn.first().getAttribute("aria-label")).toMatch(/left, trial 1: 3\d\d N/);
  expect(await violationsOf(page, wcag)).toEqual([]);
  expect(person.complaints.splice(0)).toEqual([]);
}, 120_000);

/** Has the stand-in that the page talks to play something else next: sent over the page's own connection. */
const playNext = (event: TrialEvent, peak?: number) =>
  page.evaluate(
    ([order]) => {
      const { orders } = window as unknown as { orders: ((text: string) => void)[] };
      orders.at(-1)?.(order as string);
    },
    [JSON.stringify({ v: 1, type: "play", event, seed: 3, ...(peak ? { peak } : {}) } satisfies DeviceOrder)],
  );

it("a device that dies in a trial is said to; the trial is not kept, the others are; then it answers again", async () => {
  await page.addInitScript(() => {
    const orders: ((text: string) => void)[] = [];
    Object.assign(window, { orders });
    const Plain = window.WebSocket;
    window.WebSocket = class extends Plain {
      constructor(...of: ConstructorParameters<typeof WebSocket>) {
        super(...of);
        orders.push((text) => this.send(text));
      }
    };
  });
  await visit(page, `${measures}?take=squeeze-force`);
  await open("squeeze-force");
  await take();
  await playNext("battery");
  await panel()
    .getByRole("button", { name: /^Start/ })
    .click();
  await panel().getByTestId("device-end").waitFor();
  expect(await panel().getByTestId("device-end").innerText()).toMatch(
    /battery is empty\. The trial that ran is not kept; the others are/,
  );
  expect(await trials().allInnerTexts()).toEqual([
    expect.stringMatching(/Trial 1\s+\d/),
    expect.stringMatching(/Trial 2\s+to be taken/),
    expect.stringMatching(/Trial 3\s+to be taken/),
  ]);
  await panel().getByRole("button", { name: "Try again" }).click();
  await panel().getByTestId("device").waitFor();
  await playNext("saturated");
  await take();
  expect(await panel().getByTestId("trial-result").innerText()).toMatch(/reached its end/);
  await panel().getByRole("button", { name: "Keep it all the same" }).click();
  await put();
  expect((await typed("squeeze-force")).filter((value) => value !== "")).toHaveLength(2);
});

it("as a gauge it shows the band, and what is held in it is no maximum", async () => {
  await visit(page, `${measures}?take=knee-flexion-force`);
  await open("knee-flexion-force");
  await panel().getByLabel("As a gauge").selectOption({ index: 2 });
  await playNext("clean", 180);
  await take();
  await panel().getByLabel("Lever arm (cm)").fill("31");
  expect(await panel().getByTestId("trial-result").innerText()).toMatch(/N·m at this lever arm/);
  await put();
  expect(
    await row("knee-flexion-force")
      .getByLabel(/held back/)
      .isChecked(),
  ).toBe(true);
});

it("a file of time and force is read as a trial: what was found out is shown; a bad one says where", async () => {
  const folder = os.tmpdir();
  const samples = standInTrial({ kind: "dynamometer", event: "clean", peak: 250, seed: 9 });
  const { sampleHz } = standIns.dynamometer;
  const lines = samples.map((value, n) =>
    `${(n / sampleHz).toFixed(3)};${value.toFixed(2)}`.replaceAll(".", ","),
  );
  const good = path.join(folder, "stair-trace.csv");
  const bad = path.join(folder, "stair-bad.csv");
  writeFileSync(good, ["Zeit (s);Kraft", ...lines].join("\n"));
  writeFileSync(bad, ["Zeit (s);Kraft", ...lines.slice(0, 100), "soon;much", ...lines.slice(100)].join("\n"));
  await visit(page, `${measures}?take=hip-extension-force`);
  await open("hip-extension-force");
  const file = panel().locator("input[type=file]");
  await file.setInputFiles(bad);
  await panel().getByText("Line 102: no number.").waitFor();
  await file.setInputFiles(good);
  const found = panel().getByTestId("trace-file");
  expect(await found.innerText()).toMatch(
    /parted by semicolons, decimal comma, time in s, 1,000 a second, force in \?/,
  );
  await found.getByRole("combobox").selectOption("N");
  await found.getByRole("button", { name: /^Read it as/ }).click();
  await panel().getByTestId("trial-result").waitFor();
  expect(await panel().getByTestId("trial-result").innerText()).toMatch(/2(4|5)\d N/);
  await panel().getByRole("button", { name: "Close without these trials" }).click();
});

it("a band is measured with the scale: it is read once it stands still, stretch by stretch", async () => {
  await visit(page, "/clinic/kit");
  await page.getByRole("button", { name: "Measure a band" }).click();
  const pulls = page.getByLabel(/^Scale at stretch 1/);
  await page.getByRole("button", { name: "0, 100 and 200 %" }).click();
  await page.getByRole("button", { name: /Read the scale at 0 cm/ }).click();
  await expect
    .poll(async () => Number(await pulls.first().inputValue()), { timeout: 5000 })
    .toBeGreaterThan(5);
  await page.getByRole("button", { name: /Read the scale at 100 cm/ }).waitFor();
});

it("without a device it says what to do, on a phone too, and axe finds nothing", async () => {
  devices.stop();
  await page.setViewportSize(phone);
  await visit(page, `${measures}?take=knee-extension-force`);
  await row("knee-extension-force")
    .getByRole("button", { name: /Take it/ })
    .click();
  await panel()
    .getByTestId("device-end")
    .getByText(/No device answers at ws/)
    .waitFor();
  expect(await violationsOf(page, wcag)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await page.setViewportSize(tablet);
  // The browser noted that nobody answered.
  person.complaints.splice(0);
});
