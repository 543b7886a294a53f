import { ended } from "./ended.mjs";
import { fingerprint, isMarked, mark } from "./fingerprint.mjs";
import { inRepository, repositoryRoot } from "./root.mjs";
import { PlainFailure, say } from "./say.mjs";

const markFile = inRepository("node_modules/.installed-lock");

/** Installs exactly what the lock file names; does nothing when that is already there. */
export async function ensurePackages() {
  const wanted = fingerprint(["package.json", "package-lock.json"]);
  if (isMarked(markFile, wanted)) return;
  say("installing the packages the lock file names (about a minute the first time)");
  // `npm ci` refuses a lock file made against a registry that lacks optional builds for other platforms;
  // `install --no-save` takes the same versions and checksums from it and leaves it untouched.
  const { status } = await ended(
    "npm",
    ["install", "--no-save", "--include=dev", "--no-audit", "--loglevel=error"],
    {
      cwd: repositoryRoot,
      stdio: ["ignore", "ignore", "inherit"],
    },
  );
  if (status !== 0) {
    throw new PlainFailure(
      "The packages could not be installed. Check that this machine reaches the npm registry, then run the command again.",
    );
  }
  mark(markFile, wanted);
}
