import { demoId } from "~demo/identity";
import { benchBrowser } from "./bench-browser";
import type { Row } from "./bench-compare";

const watchedMs = 4000;

/**
 * Counts frames in the page itself while the hip is pulled once a frame, or while nothing is; written as text, because a compiled
 * function would bring helpers that the page does not have.
 */
const counting = (pulls: boolean) => `new Promise((resolve) => {
  const handle = document.querySelector('[data-handle="hip"]');
  const { left, top, width, height } = handle.getBoundingClientRect();
  const [x, y] = [left + width / 2, top + height / 2];
  const began = performance.now();
  let frames = 0;
  requestAnimationFrame(function next() {
    frames += 1;
    const passed = performance.now() - began;
    if (${pulls})
      handle.dispatchEvent(new PointerEvent("pointermove", {
        bubbles: true,
        clientX: x - 20 + 20 * Math.cos(frames / 9),
        clientY: y + 30 + 30 * Math.sin(frames / 7),
      }));
    if (passed < ${watchedMs}) requestAnimationFrame(next);
    else resolve((frames * 1000) / passed);
  });
})`;

/** The free squat of the load lab, its hip pulled about in every frame: sums, drawing, levers and table each time. */
export async function draggingRow(base: string, cookie: string): Promise<{ row: Row; said: string }> {
  const browser = await benchBrowser();
  try {
    const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } });
    const [name = "", value = ""] = cookie.split("=");
    await context.addCookies([{ name, value, url: base }]);
    const page = await context.newPage();
    await page.goto(`/episodes/${demoId("fencer", "episode")}/lab`, { waitUntil: "networkidle" });
    await page.getByRole("tab", { name: "Free squat" }).click();
    const handle = page.locator('[data-handle="hip"]');
    await handle.waitFor();
    const still = await page.evaluate<number>(counting(false));
    const box = await handle.boundingBox();
    if (!box) throw new Error("the hip has a handle");
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    const before = await page.getByTestId("bench-table").innerText();
    const pulled = await page.evaluate<number>(counting(true));
    if ((await page.getByTestId("bench-table").innerText()) === before)
      throw new Error("nothing of the squat followed the hand");
    return {
      row: {
        what: "a frame of the squat pulled by its hip",
        baseline: "a frame of the same page standing still",
        oursMs: 1000 / pulled,
        baselineMs: 1000 / still,
        target: "60 frames a second where the page standing still has them",
      },
      said: `the squat pulled by its hip: ${pulled.toFixed(0)} frames a second, standing still ${still.toFixed(0)}`,
    };
  } finally {
    await browser.close();
  }
}
