import type { Page, Route } from "playwright-core";
import { beforeAll, expect, it } from "vitest";
import { stillTemplate } from "~/core/measure/still-template";
import { atBrowser } from "~tests/harness/at-browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { openStair, phone, tablet, visit } from "~tests/harness/browser";

/** Angles out of pictures whose lines were drawn at known degrees. */
const at = atBrowser();
const size = { width: 600, height: 800 };
let measures = "";

/** Where the joints of the drawn figure are: the knee 12° inward, the other hip 5° lower, the trunk 3° over the leg. */
const joints = {
  Hip: { x: 340, y: 400 },
  Knee: { x: 316.4, y: 540 },
  Ankle: { x: 323, y: 680 },
  "Other hip": { x: 220, y: 410.5 },
  "Left shoulder": { x: 355, y: 200 },
  "Right shoulder": { x: 226, y: 200 },
} as const;
type Joint = keyof typeof joints;

const degrees = (radians: number) => (radians * 180) / Math.PI;
/** By hand: the knee's angle between the lines to hip and ankle, the slope of the pelvis, the lean of the trunk. */
const byHand = {
  knee: degrees(Math.atan2(340 - 316.4, 140)) + degrees(Math.atan2(323 - 316.4, 140)),
  drop: degrees(Math.atan2(10.5, 120)),
  lean: degrees(Math.atan2((355 + 226) / 2 - 280, (400 + 410.5) / 2 - 200)),
};

beforeAll(async () => {
  await openStair(at.page, "Hathaway");
  measures = `${new URL(at.page.url()).pathname}/measures?take=frontal-angle&take=pelvic-drop&take=trunk-lean`;
});

/** A picture with the figure's lines on it. */
const drawnPicture = async (page: Page): Promise<Buffer> => {
  const address = await page.evaluate(
    ([points, { width, height }]) => {
      const canvas = Object.assign(document.createElement("canvas"), { width, height });
      const pen = canvas.getContext("2d") as CanvasRenderingContext2D;
      pen.fillStyle = "#cdd";
      pen.fillRect(0, 0, width, height);
      pen.lineWidth = 6;
      for (const [from, to] of [
        ["Hip", "Knee"],
        ["Knee", "Ankle"],
        ["Hip", "Other hip"],
        ["Left shoulder", "Right shoulder"],
      ] as const) {
        pen.beginPath();
        pen.moveTo(points[from].x, points[from].y);
        pen.lineTo(points[to].x, points[to].y);
        pen.stroke();
      }
      return canvas.toDataURL("image/png");
    },
    [joints, size] as const,
  );
  return Buffer.from(address.slice(address.indexOf(",") + 1), "base64");
};

const panel = () => at.page.getByTestId("still-panel");
const point = (name: Joint) => panel().getByRole("button", { name: new RegExp(`^${name},`) });
const angle = async (row: number) => {
  const cell = panel()
    .getByTestId("angles")
    .getByRole("row")
    .nth(row + 1)
    .getByRole("cell")
    .first();
  return cell.innerText();
};
const openWith = async (file: { name: string; mimeType: string; buffer: Buffer }) => {
  await visit(at.page, measures);
  await at.page
    .getByTestId("row-frontal-angle")
    .getByRole("button", { name: /From a picture/ })
    .click();
  await panel().getByLabel("Stands on").selectOption("left");
  await panel().locator("input[type=file]").setInputFiles(file);
};

it("by mouse, then once more by keyboard: the angles that were drawn, how far both lie apart, and both in the record", async () => {
  const { page } = at;
  const buffer = await drawnPicture(page);
  await openWith({ name: "squat.png", mimeType: "image/png", buffer });
  for (const [name, target] of Object.entries(joints)) {
    const [box, spot] = await Promise.all([
      panel().getByTestId("still").boundingBox(),
      point(name as Joint).boundingBox(),
    ]);
    if (!box || !spot) throw new Error(`${name} is shown`);
    const scale = Math.min(box.width / size.width, box.height / size.height);
    const left = box.x + (box.width - size.width * scale) / 2;
    await page.mouse.move(spot.x + spot.width / 2, spot.y + spot.height / 2);
    await page.mouse.down();
    await page.mouse.move(left + target.x * scale, box.y + target.y * scale, { steps: 4 });
    expect(await panel().getByTestId("glass").count()).toBe(1);
    await page.mouse.up();
    const [x = NaN, y = NaN] =
      (await point(name as Joint).getAttribute("aria-label"))?.match(/\d+/g)?.map(Number) ?? [];
    expect(Math.hypot(x - target.x, y - target.y), name).toBeLessThan(3);
  }
  const read = async () => Promise.all([0, 1, 2].map(async (row) => Number.parseFloat(await angle(row))));
  const [knee = NaN, drop = NaN, lean = NaN] = await read();
  expect(Math.abs(knee - byHand.knee)).toBeLessThan(1);
  expect(Math.abs(drop - byHand.drop)).toBeLessThan(1);
  expect(Math.abs(lean - byHand.lean)).toBeLessThan(1);
  expect(await violationsOf(page, wcag)).toEqual([]);

  await panel()
    .getByRole("button", { name: /Place again/ })
    .click();
  const begin = stillTemplate({ view: "front", stance: "left", facing: "towards" }, size);
  if (begin.view !== "front") throw new Error("it is looked at from the front");
  const starts: Record<Joint, { x: number; y: number }> = {
    Hip: begin.hip,
    Knee: begin.knee,
    Ankle: begin.ankle,
    "Other hip": begin.otherHip,
    "Left shoulder": begin.shoulders[0],
    "Right shoulder": begin.shoulders[1],
  };
  for (const [name, target] of Object.entries(joints)) {
    await point(name as Joint).focus();
    const start = starts[name as Joint];
    for (const [by, more, less] of [
      [Math.round(target.x - start.x), "ArrowRight", "ArrowLeft"],
      [Math.round(target.y - start.y), "ArrowDown", "ArrowUp"],
    ] as const) {
      const key = by > 0 ? more : less;
      for (let n = 0; n < Math.floor(Math.abs(by) / 10); n += 1) await page.keyboard.press(`Shift+${key}`);
      for (let n = 0; n < Math.abs(by) % 10; n += 1) await page.keyboard.press(key);
    }
  }
  expect(await angle(0)).toMatch(/^\d+(\.\d)? ± \d(\.\d)?°$/);
  expect(Math.abs(((await read())[0] ?? NaN) - byHand.knee)).toBeLessThan(1);

  await panel()
    .getByLabel(/agrees that the picture itself is kept/)
    .check();
  await panel().getByRole("button", { name: "Put into the grid" }).click();
  const typed = page.getByTestId("row-frontal-angle").locator('input[data-side="left"]');
  expect(Math.abs(Number(await typed.inputValue()) - byHand.knee)).toBeLessThan(1);
  await page.getByRole("button", { name: "Record the visit" }).click();
  await expect.poll(() => page.getByTestId("measures-notice").innerText(), { timeout: 5000 }).toMatch(/^3 /);

  // The next one has the last beside it, picture and all.
  await openWith({ name: "squat.png", mimeType: "image/png", buffer });
  const last = panel().getByRole("img", { name: /^Last: .*10 Mar/ });
  await last.waitFor();
  expect(await last.locator("image").count()).toBe(1);
  await panel().getByRole("button", { name: "Close without these angles" }).click();
});

it("what comes late moves no picture under the hand that places its points", async () => {
  const { page } = at;
  const held: Route[] = [];
  await page.route("**/stills", (route) => void held.push(route));
  await openWith({ name: "squat.png", mimeType: "image/png", buffer: await drawnPicture(page) });
  const placed = await panel().getByTestId("still").boundingBox();
  await expect.poll(() => held.length).toBe(1);
  await held[0]?.continue();
  await panel()
    .getByLabel(/agrees that the picture itself is kept/)
    .waitFor();
  expect(await panel().getByTestId("still").boundingBox()).toEqual(placed);
  await page.unroute("**/stills");
  await panel().getByRole("button", { name: "Close without these angles" }).click();
});

it("what cannot be read says so; a picture that would burst is not unpacked; a phone holds it", async () => {
  const { page } = at;
  await page.setViewportSize(phone);
  await openWith({ name: "photo.heic", mimeType: "image/heic", buffer: Buffer.from("not a picture") });
  await panel()
    .getByText(/cannot read that file/)
    .waitFor();
  const bomb = Buffer.from(await drawnPicture(page));
  // Its head says 30 000 by 30 000.
  bomb.writeUInt32BE(30_000, 16);
  bomb.writeUInt32BE(30_000, 20);
  await panel()
    .locator("input[type=file]")
    .setInputFiles({ name: "bomb.png", mimeType: "image/png", buffer: bomb });
  await panel()
    .getByText(/too large/)
    .waitFor();
  await panel()
    .locator("input[type=file]")
    .setInputFiles({ name: "squat.png", mimeType: "image/png", buffer: await drawnPicture(page) });
  await panel().getByTestId("angles").waitFor();
  expect(await violationsOf(page, wcag)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await page.setViewportSize(tablet);
});
