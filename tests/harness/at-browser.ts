import type { Browser, Page } from "playwright-core";
import { afterAll, afterEach, beforeAll, expect } from "vitest";
import { signIn, startBrowser, visitor, type Visitor } from "./browser";
import { startOwnServers, startServers, type Servers } from "./servers";

/** What the tests of one file share: servers that nobody else uses meanwhile, a browser, and a person at it. Filled before the first test. */
export interface AtBrowser {
  servers: Servers;
  browser: Browser;
  person: Visitor;
  /** The person's first page. */
  page: Page;
  /** Where the application answers. */
  url: string;
}

/** A browser that stays for the next file of tests; whoever comes to it next is a stranger to it. */
let kept: Promise<Browser> | undefined;

async function keptBrowser(): Promise<Browser> {
  const browser = await (kept ??= startBrowser());
  return browser.isConnected() ? browser : (kept = startBrowser());
}

/**
 * Sets up a file of browser tests and clears away after it: the invented clinic on one server, and a clinician signed in.
 * A test after which their pages have complained (content policy, script or console error) fails.
 *
 * @param options.notifies whether the browser has to be able to show notifications
 * @param options.own whether the file ends its servers
 */
export function atBrowser({ signedIn = true, notifies = false, own = false } = {}): AtBrowser {
  const at = {} as AtBrowser;
  beforeAll(async () => {
    at.servers = await (own ? startOwnServers(1) : startServers(1));
    at.url = at.servers.urls[0] as string;
    at.browser = await (notifies ? startBrowser({ notifies }) : keptBrowser());
    at.person = await visitor(at.browser, at.url);
    at.page = at.person.page;
    if (signedIn) await signIn(at.page);
  });
  afterEach(() => {
    expect(at.person.complaints.splice(0)).toEqual([]);
  });
  afterAll(async () => {
    for (const context of at.browser.contexts()) await context.close();
    if (notifies) await at.browser.close();
    await at.servers.stop();
  });
  return at;
}
