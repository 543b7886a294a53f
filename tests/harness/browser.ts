import { chromium, type Browser, type BrowserContext, type Page } from "playwright-core";
import { demoPassword, demoStaff } from "~demo/clinic";

const flags = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
];

/**
 * Debian's Chromium, headless: its shell, which draws the same pages with a quarter less work. The shell shows no notifications;
 * a test of those asks for the whole browser.
 */
export function startBrowser({ notifies = false } = {}): Promise<Browser> {
  const executablePath = notifies ? "/usr/bin/chromium" : "/usr/bin/chromium-headless-shell";
  return chromium.launch({ executablePath, args: flags });
}

export interface Visitor {
  readonly context: BrowserContext;
  readonly page: Page;
  /** Content-policy violations, script errors and console errors seen so far. */
  readonly complaints: string[];
}

/** How long an act at the page is waited for (ms): it says that something is stuck, not that a machine is slow. */
const patience = 120_000;

export const tablet = { width: 1280, height: 800 };
export const phone = { width: 390, height: 844 };

/**
 * A person at a fresh browser, who wants no motion: a figure that moves is drawn by the processor here. A test of motion
 * asks for it. Complaints of any of their pages are collected.
 */
export async function visitor(browser: Browser, base: string, viewport = tablet): Promise<Visitor> {
  const context = await browser.newContext({
    baseURL: base,
    viewport,
    locale: "en-GB",
    reducedMotion: "reduce",
  });
  context.setDefaultTimeout(patience);
  const complaints: string[] = [];
  context.on("page", (page) => {
    page.on("console", (message) => {
      if (message.type() === "error") complaints.push(message.text());
    });
    page.on("pageerror", (error) => complaints.push(String(error)));
  });
  return { context, page: await context.newPage(), complaints };
}

/** Goes to a page and waits until its islands answer to the hand. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await awake(page);
}

/** Waits until every island of the page has come alive and listens to keys. */
export async function awake(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll("astro-island")].every(
      (island) =>
        !island.hasAttribute("ssr") &&
        Object.keys(island.firstElementChild ?? {}).some((key) => key.startsWith("__react")),
    ),
  );
  await whole(page);
  // Effects run after the frame in which an island is put together.
  await nextFrames(page);
}

/** Waits until every part that comes after its view, or after the tap that asked for it, has come. */
export async function whole(page: Page): Promise<void> {
  await page.waitForFunction(() => document.querySelector("[data-later]") === null);
}

/** Waits until what was altered has been laid out and drawn. */
export async function nextFrames(page: Page): Promise<void> {
  await page.evaluate(
    () => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))),
  );
}

/** Types address and password as a person would. */
export async function signIn(
  page: Page,
  who: (typeof demoStaff)[number]["key"] = "clinician",
): Promise<void> {
  await visit(page, "/sign-in");
  const email = demoStaff.find((member) => member.key === who)?.email ?? "";
  await page.getByLabel("E-mail address").fill(email);
  await page.getByLabel("Password").fill(demoPassword);
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL("**/");
  await awake(page);
}

/** Opens a person's stair from the caseload. */
export async function openStair(page: Page, familyName: string): Promise<void> {
  await visit(page, "/");
  await page.getByRole("link", { name: new RegExp(familyName) }).click();
  await page.waitForURL("**/episodes/*");
  await awake(page);
}

/** Taps a number of a 0–10 scale. */
export async function pick(page: Page, label: string, value: number): Promise<void> {
  const radio = page.getByRole("radio", { name: `${label} ${value}`, exact: true });
  await radio.locator("xpath=..").click();
  await radio.and(page.locator(":checked")).waitFor({ state: "attached" });
}
