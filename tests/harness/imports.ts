import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const imported = /(?:from|import)\s*\(?\s*"(~\/[^"]+|\.{1,2}\/[^"]+)"/g;

/** The sources, tests left out: a test stands beside its module and may look at the whole house. */
export function sources(): string[] {
  return readdirSync("src", { recursive: true, encoding: "utf8" })
    .map((file) => `src/${file}`)
    .filter((file) => /\.(tsx?|astro)$/.test(file) && !file.includes(".test."));
}

/** What a text that stands at a path imports of the house, as paths without their endings. */
export function importsOf(file: string, text: string): string[] {
  return [...text.matchAll(imported)].map(([, name = ""]) =>
    (name.startsWith("~/") ? `src/${name.slice(2)}` : path.join(path.dirname(file), name)).replace(
      /(\.(astro|tsx?))?(\?.*)?$/,
      "",
    ),
  );
}

/** What imports what among the sources, as paths without their endings. */
export function imports(): [from: string, to: string][] {
  return sources().flatMap((file) =>
    importsOf(file, readFileSync(file, "utf8")).map((to): [string, string] => [
      file.replace(/\.\w+$/, ""),
      to,
    ]),
  );
}
