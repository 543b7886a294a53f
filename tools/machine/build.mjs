import { existsSync } from "node:fs";
import { compressFolder } from "./compress.mjs";
import { ended } from "./ended.mjs";
import { fingerprint, isMarked, mark } from "./fingerprint.mjs";
import { inRepository, repositoryRoot } from "./root.mjs";
import { addPhoneWorker } from "../build/phone-worker.mjs";
import { PlainFailure, say } from "./say.mjs";

const inputs = [
  "src",
  "public",
  "tools/machine/compress.mjs",
  "tools/build",
  "astro.config.mjs",
  "tsconfig.json",
  "package.json",
  "package-lock.json",
];
const markFile = inRepository("dist/.inputs");

/** Builds the application for production, unless what it is made from has not changed. */
export async function ensureBuild() {
  const wanted = fingerprint(inputs);
  if (isMarked(markFile, wanted) && existsSync(inRepository("dist/server/entry.mjs"))) return;
  say("building the application");
  const { status, said } = await ended(
    process.execPath,
    [inRepository("node_modules/astro/astro.js"), "build", "--silent"],
    {
      cwd: repositoryRoot,
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1", NODE_ENV: "production" },
    },
  );
  if (status !== 0) {
    throw new PlainFailure(`The application could not be built:\n${said}`);
  }
  await addPhoneWorker(inRepository("dist/client"));
  compressFolder(inRepository("dist/client"));
  mark(markFile, wanted);
}
