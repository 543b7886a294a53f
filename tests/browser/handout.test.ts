import { readFile } from "node:fs/promises";
import jsqr from "jsqr";
import { extractText } from "unpdf";
import { expect, it } from "vitest";
import { atBrowser } from "~tests/harness/at-browser";
import { violationsOf, wcag } from "~tests/harness/axe";
import { awake, openStair, phone, tablet, visit } from "~tests/harness/browser";

const at = atBrowser();

it("a sheet to take home: every exercise with its dose, the rule of pain, whom to call; a code that opens the same plan", async () => {
  const { page } = at;
  await openStair(page, "Stanhope");
  const path = new URL(page.url()).pathname;
  const episode = path.split("/").at(-1) ?? "";
  const { items } = (await (await page.request.get(`/api/episodes/${episode}/handout`)).json()) as {
    items: { name: string }[];
  };
  await visit(page, `${path}/handout`);
  const sheet = page.getByTestId("handout");
  const words = await sheet.innerText();
  for (const { name } of items) expect(words).toContain(name);
  expect(words).toMatch(/5 sets: hold 15 seconds/);
  expect(words).toMatch(/pain up to 2 of 10/);
  expect(words).toContain("555 0142");
  expect(words).not.toMatch(/undefined|NaN|Adductor strain/);

  await page.getByRole("button", { name: "Add a code for the phone" }).click();
  const picture = page.getByTestId("handout-code").locator("img");
  const pixels = await picture.evaluate(async (image: HTMLImageElement) => {
    await image.decode();
    const side = 400;
    const canvas = Object.assign(document.createElement("canvas"), { width: side, height: side });
    const context = canvas.getContext("2d") as CanvasRenderingContext2D;
    context.drawImage(image, 0, 0, side, side);
    return [...context.getImageData(0, 0, side, side).data];
  });
  // Read back by another library.
  const read = jsqr(Uint8ClampedArray.from(pixels), 400, 400)?.data ?? "";
  expect(read).toMatch(new RegExp(`^${at.url}/my#[\\w-]{40,}$`));
  const opened = await page.request.post("/api/phone/openings", {
    headers: { origin: at.url },
    data: { token: read.split("#")[1] },
  });
  expect(opened.status()).toBe(200);

  // The same in another language, on the page and as a file, each with a code on it.
  await page.getByLabel("Language").selectOption("de");
  await sheet.getByText("Übungen für").waitFor();
  expect(await sheet.innerText()).toMatch(/5 Sätze: 15 Sekunden halten/);
  await awake(page);
  await page.getByRole("button", { name: "Add a code for the phone" }).click();
  const beside = await page.getByTestId("handout-code").innerText();
  expect(beside).toMatch(
    /Auf Ihrem Telefon\s+Scannen Sie dies, oder öffnen Sie \S+my und geben Sie \S+ und Ihr/,
  );
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as PDF" }).click();
  const saved = await file;
  expect(saved.suggestedFilename()).toBe("exercises.pdf");
  const { text } = await extractText(new Uint8Array(await readFile(await saved.path())), {
    mergePages: true,
  });
  const german = text.replaceAll(/\s+/gu, " ");
  expect(german).toContain("Übungen für");
  expect(german).toContain("5 Sätze: 15 Sekunden halten");
  expect(german).toContain("Auf Ihrem Telefon");

  expect(await violationsOf(page, wcag)).toEqual([]);
  for (const large of [false, true]) {
    if (large) await page.getByLabel("Large print").check();
    const pdf = (await page.pdf({ format: "A4" })).toString("latin1");
    const pages = pdf.match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
    expect(pages, `large: ${large}`).toBeLessThanOrEqual(large ? 4 : 2);
  }
  // Paper is white by night too, and what stands on it is to be read.
  await page.evaluate(() => document.documentElement.setAttribute("data-theme", "quarry-night"));
  expect(await violationsOf(page, wcag)).toEqual([]);
  await page.setViewportSize(phone);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  await page.setViewportSize(tablet);
});
