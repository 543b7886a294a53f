import { demoId } from "~demo/identity";
import { benchBrowser } from "./bench-browser";
import type { Row } from "./bench-compare";

const seconds = 60;
const hz = 1000;
const files = 5;
const stillMs = 2000;

/** A minute of pulling and letting go, as a file of time and force. */
function minute(): { text: string; force: number[] } {
  const force = Array.from({ length: seconds * hz }, (_, n) => {
    const t = n / hz;
    return t < 1 ? Math.sin(n) * 0.2 : 150 + 140 * Math.sin(t) + 3 * Math.sin(n * 1.3);
  });
  const text = ["time (s),force (N)", ...force.map((value, n) => `${n / hz},${value.toFixed(2)}`)].join("\n");
  return { text, force };
}

/** In the page: how long a worker takes from question to answer, and how many frames are drawn meanwhile. Text, as for other counts. */
const watching = `(() => {
  const told = { times: [], frames: 0, drawn: 0 };
  window.benchTold = told;
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message, ...more) {
    if (message && message.trace) {
      const [began, before] = [performance.now(), told.frames];
      this.addEventListener("message", () => {
        told.times.push(performance.now() - began);
        told.drawn += told.frames - before;
      }, { once: true });
    }
    return post.call(this, message, ...more);
  };
  requestAnimationFrame(function next() { told.frames += 1; requestAnimationFrame(next); });
})()`;

interface Told {
  readonly times: number[];
  readonly frames: number;
  /** Of them, while a trace was being read. */
  readonly drawn: number;
}

/** A minute's trace read beside the page, which goes on drawing: the time of each, and the frames meanwhile. */
export async function traceRow(base: string, cookie: string): Promise<{ row: Row; said: string }> {
  const browser = await benchBrowser();
  try {
    const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } });
    const [name = "", value = ""] = cookie.split("=");
    await context.addCookies([{ name, value, url: base }]);
    const page = await context.newPage();
    await page.addInitScript(watching);
    await page.goto(`/episodes/${demoId("fencer", "episode")}/measures?take=hip-adduction-force`);
    await page.getByRole("button", { name: /^Take it.*Hip adduction/ }).click();
    const panel = page.getByTestId("capture");
    const told = () => page.evaluate<Told>("window.benchTold");
    const rate = async (act: () => Promise<unknown>) => {
      const [before, began] = [(await told()).frames, performance.now()];
      await act();
      return (((await told()).frames - before) * 1000) / (performance.now() - began);
    };
    const still = await rate(() => page.waitForTimeout(stillMs));
    const { text, force } = minute();
    const reading = await rate(async () => {
      for (let n = 0; n < files; n += 1) {
        const buffer = Buffer.from(text);
        await panel
          .locator("input[type=file]")
          .setInputFiles({ name: "minute.csv", mimeType: "text/csv", buffer });
        await panel.getByRole("button", { name: /^Read it as/ }).click();
        await page.locator(`[data-read="${n + 1}"]`).waitFor();
      }
    });
    const { drawn, times } = await told();
    const rateWhile = (drawn * 1000) / times.reduce((sum, time) => sum + time, 0);
    times.sort((a, b) => a - b);
    const median = times[Math.floor(times.length / 2)] ?? NaN;
    const began = performance.now();
    for (let n = 0; n < files; n += 1) structuredClone(force);
    return {
      row: {
        what: `${seconds} s at ${hz} Hz, read in a worker`,
        baseline: "the same samples copied once",
        oursMs: median,
        baselineMs: (performance.now() - began) / files,
        target: "< 100 ms, and 60 frames a second meanwhile",
      },
      said: `a minute's trace: median ${median.toFixed(0)} ms, longest ${(times.at(-1) ?? NaN).toFixed(0)} ms; ${rateWhile.toFixed(0)} frames a second while it is read, ${reading.toFixed(0)} with its file being handed over, standing still ${still.toFixed(0)}`,
    };
  } finally {
    await browser.close();
  }
}
