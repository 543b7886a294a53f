import path from "node:path";
import type { Browser, Page } from "playwright-core";
import { build, type Rollup } from "vite";
import { startingExercises } from "~/catalogue/exercises/all";
import { figureOf } from "~/catalogue/figures/all";
import { drawFigure } from "~/core/figure/draw-figure";
import { resolveFigure } from "~/core/figure/resolve-figure";
import { bodyLengths } from "~/core/pose/body-lengths";
import { benchBrowser } from "./bench-browser";
import { compare, rounds, type Row } from "./bench-compare";

const body = bodyLengths({ heightM: 1.75 });
const look = { left: false, marked: "leg" } as const;
const figures = startingExercises.flatMap((exercise) =>
  exercise.variants.flatMap((variant) => figureOf(exercise, variant, body) ?? []),
);

/** Poses put in the room, and outlines drawn of them, against writing the same outlines as JSON and reading them. */
async function coreRows(): Promise<{ rows: Row[]; said: string }> {
  const drawn = figures.map((figure) => JSON.stringify(drawFigure(body, figure, 0.5, look)));
  const baseline = () => drawn.forEach((text) => JSON.stringify(JSON.parse(text)));
  const poses = await compare(() => figures.forEach((figure) => resolveFigure(body, figure, 0.5)), baseline);
  const outlines = await compare(
    () => figures.forEach((figure) => drawFigure(body, figure, 0.5, look)),
    baseline,
  );
  const perSecond = (ms: number) => Math.round((figures.length / ms) * 1000);
  return {
    rows: [
      {
        what: `${figures.length} poses, balance solved`,
        baseline: "JSON of their outlines, there and back",
        target: "≤ 1 ×",
        ...poses,
      },
      {
        what: `${figures.length} figures drawn`,
        baseline: "JSON of their outlines, there and back",
        target: "≤ 2 ×",
        ...outlines,
      },
    ],
    said: `core: ${perSecond(poses.oursMs)} poses and ${perSecond(outlines.oursMs)} drawings a second`,
  };
}

/** The page of twelve figures as one script, built as the product's islands are. */
async function pageScript(): Promise<string> {
  const root = process.cwd();
  const built = (await build({
    root,
    configFile: false,
    logLevel: "error",
    resolve: { alias: { "~": path.join(root, "src") } },
    esbuild: { jsx: "automatic" },
    define: { "process.env.NODE_ENV": '"production"' },
    build: {
      write: false,
      rollupOptions: {
        input: path.join(root, "tools/bench-page/twelve-figures.tsx"),
        output: { format: "iife", inlineDynamicImports: true },
      },
    },
  })) as Rollup.RollupOutput;
  return built.output[0].code;
}

const watchedMs = 4000;

/** Frames a second that a page gets with its twelve figures moving, or standing still. */
async function framesPerSecond(browser: Browser, script: string, moves: boolean): Promise<number> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.setContent(
    `<style>.tall{height:240px}.figure path{stroke:#333;vector-effect:non-scaling-stroke;fill:#ddd}</style><div id="root" data-moves="${moves}"></div>`,
  );
  await page.addScriptTag({ content: script });
  await page.waitForSelector("svg.figure");
  const frames = await countFrames(page);
  await page.close();
  return frames;
}

/** Counts in the page itself; written as text, because a compiled function would bring helpers the page does not have. */
const counting = `new Promise((resolve) => {
  const began = performance.now();
  let frames = 0;
  requestAnimationFrame(function next() {
    frames += 1;
    const passed = performance.now() - began;
    if (passed < ${watchedMs}) requestAnimationFrame(next);
    else resolve((frames * 1000) / passed);
  });
})`;
const countFrames = (page: Page): Promise<number> => page.evaluate<number>(counting);

/** When a page first shows something, milliseconds from asking for it; the median of some visits. */
async function firstPaint(browser: Browser, base: string, cookie: string, address: string): Promise<number> {
  const times: number[] = [];
  for (let n = 0; n < rounds; n += 1) {
    const context = await browser.newContext({ baseURL: base, viewport: { width: 1280, height: 800 } });
    const [name = "", value = ""] = cookie.split("=");
    await context.addCookies([{ name, value, url: base }]);
    const page = await context.newPage();
    await page.goto(address, { waitUntil: "networkidle" });
    times.push(
      await page.evaluate(() => performance.getEntriesByName("first-contentful-paint")[0]?.startTime ?? NaN),
    );
    await context.close();
  }
  return [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;
}

/** Figures: the core's speed, twelve of them moving on one page, and how soon the library is there. */
export async function figureRows(base: string, cookie: string): Promise<{ rows: Row[]; said: string }> {
  const core = await coreRows();
  const browser = await benchBrowser();
  try {
    const script = await pageScript();
    const still = await framesPerSecond(browser, script, false);
    const moving = await framesPerSecond(browser, script, true);
    const library = await firstPaint(browser, base, cookie, "/library");
    const plain = await firstPaint(browser, base, cookie, "/404");
    return {
      rows: [
        ...core.rows,
        {
          what: "a frame with 12 figures moving",
          baseline: "a frame of the same page standing still",
          oursMs: 1000 / moving,
          baselineMs: 1000 / still,
          target: "≤ 2 ×",
        },
        {
          what: "first paint of the library",
          baseline: "first paint of the page that says 'not found'",
          oursMs: library,
          baselineMs: plain,
          target: "≤ 3 ×",
        },
      ],
      said: `${core.said}; 12 moving figures: ${moving.toFixed(0)} frames a second, standing still ${still.toFixed(0)}`,
    };
  } finally {
    await browser.close();
  }
}
