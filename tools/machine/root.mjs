import { fileURLToPath } from "node:url";
import path from "node:path";

/** The repository's top folder. */
export const repositoryRoot = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");

/** A path inside the repository. */
export function inRepository(...parts) {
  return path.join(repositoryRoot, ...parts);
}

/** Where data, secrets and locks of this installation live (never committed). */
export function dataFolder() {
  return path.resolve(process.env.STAIR_DATA_DIR || inRepository(".data"));
}
