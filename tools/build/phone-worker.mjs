import { readFileSync, readdirSync, rmSync } from "node:fs";
import path from "node:path";
import { inRepository } from "../machine/root.mjs";
import { PlainFailure } from "../machine/say.mjs";

const bytesAtMost = 1_000_000;
/** What the phone's page is brought to life by. */
const roots = [/^PhonePage\.[^.]+\.js$/, /^client\.[^.]+\.js$/];

/**
 * Makes the worker that keeps the patient's page on the phone: bundles it, and gives it the list of files that the page and all
 * that it brings later consist of. Nothing of the clinic's own views is on it.
 *
 * @param {string} folder built files as they are served
 */
export async function addPhoneWorker(folder) {
  // Only needed when something is built, so that starting what is built asks for neither.
  const { build } = await import("vite");
  const { injectManifest } = await import("workbox-build");
  await build({
    configFile: false,
    logLevel: "error",
    root: inRepository("."),
    resolve: { alias: { "~": inRepository("src") } },
    define: { "process.env.NODE_ENV": '"production"' },
    build: {
      outDir: folder,
      emptyOutDir: false,
      copyPublicDir: false,
      rollupOptions: {
        input: inRepository("src/workers/phone-worker.ts"),
        output: { format: "iife", entryFileNames: "my-worker.plain.js" },
      },
    },
  });
  const plain = path.join(folder, "my-worker.plain.js");
  const { warnings } = await injectManifest({
    swSrc: plain,
    swDest: path.join(folder, "my-worker.js"),
    globDirectory: folder,
    globPatterns: [...filesOfPhone(path.join(folder, "_astro")), "mark.svg", "my.webmanifest", "my-192.png"],
    // Names with a hash never change what they stand for.
    dontCacheBustURLsMatching: /^_astro\//,
    maximumFileSizeToCacheInBytes: bytesAtMost,
  });
  rmSync(plain);
  if (warnings.length > 0)
    throw new PlainFailure(`The phone's worker could not be made: ${warnings.join("\n")}`);
}

/** The page's scripts, now and later, its styles, and the letters of its languages. */
function filesOfPhone(folder) {
  const names = readdirSync(folder);
  const seen = new Set();
  const visit = (name) => {
    if (seen.has(name) || !names.includes(name)) return;
    seen.add(name);
    const text = readFileSync(path.join(folder, name), "utf8");
    for (const [, other] of text.matchAll(/"\.\/([^"]+\.js)"/g)) visit(other);
  };
  names.filter((name) => roots.some((root) => root.test(name))).forEach(visit);
  if (seen.size < 2) throw new PlainFailure("The patient's page is not among the built files.");
  const styles = names.filter((name) => name.endsWith(".css"));
  const letters = names.filter((name) => /latin-(?!ext).*\.woff2$/.test(name));
  return [...seen, ...styles, ...letters].map((name) => `_astro/${name}`);
}
