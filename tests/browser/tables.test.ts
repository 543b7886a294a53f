import { mkdtempSync, writeFileSync } from "node:fs";
import { readFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import Papa from "papaparse";
import { beforeAll, expect, it } from "vitest";
import writeXlsxFile from "write-excel-file/node";
import { atBrowser } from "~tests/harness/at-browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { openStair, phone, tablet, visit } from "~tests/harness/browser";

/** Results out of a spreadsheet and into one. The clinic's day is 10 March 2026. */
const at = atBrowser();
const folder = mkdtempSync(path.join(os.tmpdir(), "stair-tables-"));
let measures = "";

beforeAll(async () => {
  await openStair(at.page, "Marchbanks");
  measures = `${new URL(at.page.url()).pathname}/measures`;
});

const panel = () => at.page.getByTestId("table");
const openPanel = async () => {
  await visit(at.page, measures);
  await at.page.getByRole("button", { name: "Read a spreadsheet" }).click();
  await panel().waitFor();
};
const choose = (file: string) => panel().locator("input[type=file]").setInputFiles(file);
const recordButton = () => panel().getByRole("button", { name: /^Record/ });

it("a spreadsheet is matched by its names; bad cells are told by their place, and nothing is recorded until all is well", async () => {
  const file = path.join(folder, "results.xlsx");
  const day = (iso: string) => ({ value: new Date(`${iso}T00:00:00Z`), type: Date, format: "dd/mm/yyyy" });
  await writeXlsxFile([
    [{ value: "Date" }, { value: "Knee flexion left (deg)" }, { value: "Bend right" }, { value: "Pain now" }],
    [day("2026-02-20"), { value: 138 }, { value: 120 }, { value: 2 }],
    [day("2026-02-27"), { value: 139 }, { value: 1250 }, { value: 2.5 }],
  ] as unknown as Parameters<typeof writeXlsxFile>[0]).toFile(file);
  await openPanel();
  await choose(file);
  const bend = panel().getByLabel("What Bend right holds");
  expect(await panel().getByLabel("What Knee flexion left (deg) holds").inputValue()).toBe(
    "knee-flexion left",
  );
  expect(await panel().getByLabel("What Date holds").inputValue()).toBe("date");
  expect(await bend.inputValue()).toBe("skip");
  await bend.selectOption("knee-flexion right");
  const problems = () => panel().getByTestId("table-problems").innerText();
  expect(await problems()).toMatch(/Row 3, Bend right: ‘1250’ is above \d+, which cannot be/);
  expect(await problems()).toMatch(/Row 3, Pain now: ‘2\.5’ must be a whole number/);
  expect(await recordButton().isDisabled()).toBe(true);
  expect(await violationsOf(at.page, wcag)).toEqual([]);
  await bend.selectOption("skip");
  await panel().getByLabel("What Pain now holds").selectOption("skip");
  expect(await recordButton().innerText()).toBe("Record 2 days");
  await bend.selectOption("knee-flexion right");
  expect(await recordButton().isDisabled()).toBe(true);
});

it("corrected it is recorded whole; the next file of the same names is matched as the last one was; all of it comes out again", async () => {
  const file = path.join(folder, "results.csv");
  writeFileSync(file, "Date;Bend right;Pain now\n5.2.2026;118,5;2\n6.2.2026;121;1\n");
  await openPanel();
  await choose(file);
  const orders = panel().getByLabel("Dates are");
  expect(await orders.inputValue()).toBe("dmy");
  await panel().getByLabel("What Bend right holds").selectOption("knee-flexion right");
  await recordButton().click();
  await panel().waitFor({ state: "detached" });
  expect(await at.page.getByTestId("measures-notice").innerText()).toMatch(/^4 /);

  writeFileSync(file, "Date;Bend right;Pain now\n13.2.2026;122;1\n");
  await openPanel();
  await choose(file);
  expect(await panel().getByLabel("What Bend right holds").inputValue()).toBe("knee-flexion right");
  expect(await recordButton().isEnabled()).toBe(true);
  await panel().getByRole("button", { name: "Close, record nothing" }).click();

  const download = at.page.waitForEvent("download");
  await at.page.getByRole("link", { name: "Results as a table (CSV)" }).click();
  const text = await readFile(await (await download).path(), "utf8");
  const { data } = Papa.parse<Record<string, string>>(text, { header: true });
  const bends = data.filter(
    ({ measure, side, taken_on: on = "" }) =>
      measure === "knee-flexion" && side === "right" && on < "2026-02-07",
  );
  expect(bends.map((line) => [line["taken_on"], line["trial_value"]])).toEqual(
    expect.arrayContaining([
      ["2026-02-05", "118.5"],
      ["2026-02-06", "121"],
    ]),
  );
});

it("a file that is no table says so, on a phone too", async () => {
  const file = path.join(folder, "picture.csv");
  writeFileSync(file, Buffer.from([0xff, 0xd8, 0, 0, 1, 2, 3]));
  await at.page.setViewportSize(phone);
  await openPanel();
  await choose(file);
  await panel().getByText("This is no table").waitFor();
  expect(await violationsOf(at.page, wcag)).toEqual([]);
  expect(await at.page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await at.page.setViewportSize(tablet);
});
