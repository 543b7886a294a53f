import type { Browser, Page } from "playwright-core";
import { afterAll, afterEach, beforeAll, expect } from "vitest";
import { signIn, startBrowser, visitor, type Visitor } from "./browser";
import { startServers, type Servers } from "./servers";

/** What the tests of one file share: servers of their own, a browser, and a person at it. Filled before the first test. */
export interface AtBrowser {
  servers: Servers;
  browser: Browser;
  person: Visitor;
  /** The person's first page. */
  page: Page;
  /** Where the application answers. */
  url: string;
}

/**
 * Sets up a file of browser tests and clears away after it: the invented clinic on one server, and a clinician signed in.
 * A test after which their pages have complained (content policy, script or console error) fails.
 *
 * @param options.notifies whether the browser has to be able to show notifications
 */
export function atBrowser({ signedIn = true, notifies = false } = {}): AtBrowser {
  const at = {} as AtBrowser;
  beforeAll(async () => {
    at.servers = await startServers(1);
    at.url = at.servers.urls[0] as string;
    at.browser = await startBrowser({ notifies });
    at.person = await visitor(at.browser, at.url);
    at.page = at.person.page;
    if (signedIn) await signIn(at.page);
  });
  afterEach(() => {
    expect(at.person.complaints.splice(0)).toEqual([]);
  });
  afterAll(async () => {
    await at.browser.close();
    await at.servers.stop();
  });
  return at;
}
