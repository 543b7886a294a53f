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

/** Debian's Chromium, headless. */
export function startBrowser(): Promise<Browser> {
  return chromium.launch({ executablePath: "/usr/bin/chromium", args: flags });
}

export interface Visitor {
  readonly context: BrowserContext;
  readonly page: Page;
  /** Content-policy violations, script errors and console errors seen so far. */
  readonly complaints: string[];
}

export const tablet = { width: 1280, height: 800 };
export const phone = { width: 390, height: 844 };

/** A person at a fresh browser; complaints of any of their pages are collected. */
export async function visitor(browser: Browser, base: string, viewport = tablet): Promise<Visitor> {
  const context = await browser.newContext({ baseURL: base, viewport, locale: "en-GB" });
  const complaints: string[] = [];
  context.on("page", (page) => {
    page.on("console", (message) => {
      if (message.type() === "error") complaints.push(message.text());
    });
    page.on("pageerror", (error) => complaints.push(String(error)));
  });
  return { context, page: await context.newPage(), complaints };
}

/** Types address and password as a person would. */
export async function signIn(
  page: Page,
  who: (typeof demoStaff)[number]["key"] = "clinician",
): Promise<void> {
  await page.goto("/sign-in", { waitUntil: "networkidle" });
  const email = demoStaff.find((member) => member.key === who)?.email ?? "";
  await page.getByLabel("E-mail address").fill(email);
  await page.getByLabel("Password").fill(demoPassword);
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL("**/");
  await page.waitForLoadState("networkidle");
}

/** Opens a person's stair from the caseload. */
export async function openStair(page: Page, familyName: string): Promise<void> {
  await page.goto("/", { waitUntil: "networkidle" });
  await page.getByRole("link", { name: new RegExp(familyName) }).click();
  await page.waitForURL("**/episodes/*");
  await page.waitForLoadState("networkidle");
}

/** Taps a number of a 0–10 scale. */
export async function pick(page: Page, label: string, value: number): Promise<void> {
  await page.getByRole("radio", { name: `${label} ${value}`, exact: true }).check({ force: true });
}
