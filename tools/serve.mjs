// Serves the built application: one process, no state of its own; several may run against one database.
import { createHash } from "node:crypto";
import { readdirSync } from "node:fs";
import http from "node:http";
import path from "node:path";
import compression from "compression";
import proxyAddress from "proxy-addr";
import sirv from "sirv";
import { pathToFileURL } from "node:url";
import { inRepository } from "./machine/root.mjs";
import { PlainFailure, runPlainly } from "./machine/say.mjs";

process.env.NODE_ENV ??= "production";

const port = Number(process.env.PORT || 4321);
const host = process.env.HOST || "127.0.0.1";
const trusted = proxyAddress.compile((process.env.TRUSTED_PROXY ?? "").split(",").filter(Boolean));
/** What a page or an endpoint may be asked with; the platform's Request refuses to be made of some others. */
const methods = new Set(["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"]);
/** How long it still answers after it was told to end: longer than a proxy takes to notice. */
const drainMs = 1000 * Number(process.env.DRAIN_SECONDS || 3);
const largestBodyBytes = 4_194_304;
/** A body that is too large is heard to its end all the same, up to this: closed while it writes, its sender would read no answer. */
const largestHeardBytes = 16 * largestBodyBytes;
/** How many requests are answered at once: with more, each would wait longer than whoever asked does. */
const mostAtOnce = Number(process.env.REQUESTS_AT_ONCE || 400);

/** On every answer, static files included; pages set a content policy of their own on top. */
const headers = {
  "content-security-policy": "default-src 'none'; frame-ancestors 'none'; base-uri 'none'",
  "x-content-type-options": "nosniff",
  "x-frame-options": "DENY",
  "referrer-policy": "no-referrer",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
  "permissions-policy": "camera=(), microphone=(), geolocation=()",
};

const published = process.env.PUBLIC_URL ? new URL(process.env.PUBLIC_URL) : null;
// From the first visit on a browser asks over https alone (RFC 6797).
if (published?.protocol === "https:") headers["strict-transport-security"] = "max-age=31536000";

/** Names of this machine itself, by which it is asked for its health, and reached where it is published by no other. */
const ownNames = new Set(["127.0.0.1", "localhost", "[::1]"]);
const healthPaths = new Set(["/health", "/ready", "/metrics"]);
/** Told to this machine alone: not to whoever comes through a proxy, nor from elsewhere. */
const ownPaths = new Set(["/metrics"]);
const ownAddresses = new Set(["127.0.0.1", "::1", "::ffff:127.0.0.1"]);

/**
 * Whether a request is for this site. A name that is not ours is not answered: a page elsewhere could have had its own name lead
 * here. Listening to the world without a published address, every name is taken.
 */
function isForUs({ headers: { host: name = "" }, url = "" }) {
  const bare = name.replace(/:\d+$/, "").toLowerCase();
  if (ownNames.has(bare)) return !published || healthPaths.has(url) || ownNames.has(published.hostname);
  if (published) return name.toLowerCase() === published.host;
  return !ownNames.has(host);
}

/** What the phone's worker may do: read this site, and nothing else. */
const workerPolicy = "default-src 'none'; connect-src 'self'; script-src 'self'";
/** The week's planner runs a compiled solver beside the page; nothing else may. */
const plannerPolicy = `${workerPolicy} 'wasm-unsafe-eval'`;
const planner = /^\/_astro\/week-planner-[\w-]+\.js$/;

await runPlainly(async () => {
  const { handler } = await import(pathToFileURL(path.join(inRepository("dist"), "server/entry.mjs")).href);
  const files = serveFiles(inRepository("dist/client"));
  const compress = compression();
  let stopping = false;
  /** Requests that are being answered. */
  let begun = 0;
  // Said by every answer and by the phone's page, so that a page that a phone kept knows when it is an old one.
  process.env.STAIR_EDITION = editionOf(inRepository("dist/client/_astro"));
  headers["stair-edition"] = process.env.STAIR_EDITION;

  const server = http.createServer((request, response) => {
    begun += 1;
    response.once("close", () => (begun -= 1));
    for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
    if (stopping) response.setHeader("connection", "close");
    if (stopping && request.url === "/ready")
      return refuse(request, response, 503, "ending", "This process is ending; another one answers.");
    const isThroughProxy = request.headers["x-forwarded-for"] !== undefined;
    setForwarding(request);
    if (
      ownPaths.has(request.url?.split("?")[0] ?? "") &&
      (isThroughProxy || !ownAddresses.has(request.socket.remoteAddress ?? ""))
    )
      return refuse(request, response, 404, "not-found", "There is nothing here.");
    if (!isForUs(request))
      return refuse(
        request,
        response,
        421,
        "misdirected",
        "This is not the site you asked for. Its own address is set by PUBLIC_URL.",
      );
    if (!methods.has(request.method ?? ""))
      return refuse(request, response, 405, "method", "This method does nothing here.");
    const bytes = Number(request.headers["content-length"] ?? 0);
    if (bytes > largestBodyBytes) {
      const tell = () => refuse(request, response, 413, "too-large", "The body is too large.");
      return bytes > largestHeardBytes ? tell() : request.once("end", tell).resume();
    }
    if (begun > mostAtOnce && !healthPaths.has(request.url ?? "")) {
      response.setHeader("retry-after", "2");
      return refuse(
        request,
        response,
        503,
        "busy",
        "Too much is asked at once. Try again in a moment. Nothing was saved.",
      );
    }
    if (!isAddress(request.url ?? ""))
      return refuse(request, response, 400, "address", "This is no address: a % stands for nothing in it.");
    files(request, response, () => compress(request, response, () => handler(request, response)));
  });
  server.requestTimeout = 30_000;
  server.headersTimeout = 15_000;
  // Longer than a proxy or a browser keeps an idle connection: closed by us in the moment it is used again, a request would be lost.
  server.keepAliveTimeout = 65_000;
  server.once("error", (error) => {
    const taken = error.code === "EADDRINUSE";
    process.stderr.write(taken ? `Port ${port} is taken; set PORT to another.\n` : `${error.stack}\n`);
    process.exit(1);
  });
  await new Promise((resolve) => server.listen(port, host, resolve));
  process.send?.({ listening: server.address().port });

  const close = () => {
    server.close(() => process.exit(0));
    setInterval(() => {
      if (begun === 0) server.closeAllConnections();
    }, 20);
    setTimeout(() => process.exit(0), 10_000).unref();
  };
  // Told to end, it says so to whoever asks whether it is ready, answers for a while whoever still comes, and lets each of them go
  // with the answer; then it closes. A connection that is closed in the moment it is used again would be a request lost.
  const stop = () => {
    if (stopping) return;
    stopping = true;
    setTimeout(close, drainMs);
  };
  process.on("SIGTERM", stop);
  process.on("SIGINT", stop);
  process.on("disconnect", stop);
  // To forget what is remembered of the database is the application's, which listens once it has been asked something.
  process.on("SIGHUP", () => undefined);
  if (!process.env.DATABASE_URL) throw new PlainFailure("DATABASE_URL is not set; use `npm start`.");
});

/**
 * Forwarding headers count only when the peer is a proxy we were told to trust. Each proxy writes the address it saw at the
 * end of the list; what stands before the last one that is not ours came from the sender and may say anything.
 */
function setForwarding(request) {
  const peer = request.socket.remoteAddress ?? "";
  if (peer !== "" && trusted(peer, 0)) {
    request.headers["x-forwarded-for"] = proxyAddress(request, trusted);
    return;
  }
  const kept = Object.entries(request.headers).filter(([name]) => !/^(x-forwarded-|forwarded$)/.test(name));
  request.headers = Object.fromEntries(kept);
}

/** Whether an address can be read: what is escaped in it stands for letters. */
function isAddress(url) {
  try {
    decodeURI(url.split("?")[0]);
    return true;
  } catch {
    return false;
  }
}

/** What this build is, in few letters: the names of its files stand for what is in them. */
function editionOf(folder) {
  const names = readdirSync(folder).sort().join("\n");
  return createHash("sha256").update(names).digest("hex").slice(0, 12);
}

/** The built files, compressed ones first. Names with a hash never change what they stand for. */
function serveFiles(folder) {
  return sirv(folder, {
    brotli: true,
    gzip: true,
    etag: true,
    setHeaders: (response, pathname) => {
      const named = pathname.startsWith("/_astro/");
      if (pathname === "/my-worker.js") response.setHeader("content-security-policy", workerPolicy);
      if (planner.test(pathname)) response.setHeader("content-security-policy", plannerPolicy);
      response.setHeader("cache-control", named ? "public, max-age=31536000, immutable" : "no-cache");
    },
  });
}

/** Refuses a request before the application sees it. */
function refuse(request, response, status, type, title) {
  request.resume(); // lets the sender finish, so that it reads the answer instead of a reset connection
  response.writeHead(status, {
    "content-type": "application/problem+json",
    connection: "close",
    ...(status === 405 ? { allow: [...methods].join(", ") } : {}),
  });
  response.end(JSON.stringify({ type: `/problems/${type}`, title, status }));
}
