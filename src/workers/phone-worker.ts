/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from "workbox-precaching";
import { registerRoute } from "workbox-routing";
import { NetworkFirst } from "workbox-strategies";

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
