import { chromium, type Browser } from "playwright-core";

/** A browser to measure in: without a screen, without what it would do beside. */
export const benchBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-quic",
      "--no-first-run",
      "--disable-background-networking",
    ],
  });
