/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from "workbox-precaching";
import { registerRoute } from "workbox-routing";
import { NetworkFirst } from "workbox-strategies";

import { keep, readKept, readWaiting } from "~/workers/phone/phone-store";
import { morningToAskFor, reminderTag } from "~/workers/phone/reminder";

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: (PrecacheEntry | string)[] };

const pages = "stair-phone-pages";
const waitSeconds = 4;

// A newer worker takes over at once: what is told waits in the phone's own store, not here.
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);

/** The page itself: the newest where there is a connection, the last known one where there is none. */
registerRoute(
  ({ request, url }) => request.mode === "navigate" && url.pathname === "/my",
  new NetworkFirst({ cacheName: pages, networkTimeoutSeconds: waitSeconds }),
);

self.addEventListener("install", (event) => {
  event.waitUntil(
    caches
      .open(pages)
      .then((cache) => cache.add("/my"))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener("activate", (event) => {
  event.waitUntil(self.clients.claim());
});

/** Asks for the morning after, on the locked screen, where somebody wanted that; once for each day. Nothing of what is treated stands there. */
async function remind(): Promise<void> {
  const [view, words, remindedOf, ahead = 0] = await Promise.all([
    readKept("view"),
    readKept("reminder"),
    readKept("remindedOf"),
    readKept("ahead"),
  ]);
  if (!view || !words) return;
  const waiting = (await readWaiting()).map(({ what }) => what);
  const now = new Date(Date.now() + ahead);
  const day = morningToAskFor(view, waiting, now.toISOString(), { hour: now.getHours(), remindedOf });
  if (day === null) return;
  await keep("remindedOf", day);
  await self.registration.showNotification(words.title, {
    body: words.body,
    tag: reminderTag,
    icon: "/my-192.png",
  });
}

/** One after the other: woken twice at once, the second finds what the first has kept. */
let reminding = Promise.resolve();

self.addEventListener("periodicsync", (event) => {
  const { tag, waitUntil } = event as ExtendableEvent & { tag: string };
  if (tag !== reminderTag) return;
  reminding = reminding.then(remind, remind);
  waitUntil.call(event, reminding);
});

self.addEventListener("notificationclick", (event) => {
  event.notification.close();
  event.waitUntil(openMine());
});

/** The page that is open already, or a new one. */
async function openMine(): Promise<void> {
  const pages = await self.clients.matchAll({ type: "window" });
  const [mine] = pages.filter(({ url }) => new URL(url).pathname === "/my");
  await (mine ? mine.focus() : self.clients.openWindow("/my"));
}
