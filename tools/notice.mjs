// Writes NOTICE: what the product is made of, by whom, and under which terms: `npm run notice`, after packages have changed.
import { writeFileSync } from "node:fs";
import { promisify } from "node:util";
import { init } from "license-checker-rseidelsohn";
import { inRepository, repositoryRoot } from "./machine/root.mjs";
import { runPlainly, say } from "./machine/say.mjs";

const head = `Patient Stair

This product is made with the packages below, each under its own terms. Their full texts are in the folders of the packages
(node_modules/NAME) once they are installed. The fonts are under the SIL Open Font License 1.1. Written by \`npm run notice\`;
\`npm run sbom\` writes the same as a bill of materials (CycloneDX).
`;

await runPlainly(async () => {
  const found = await promisify(init)({
    start: repositoryRoot,
    production: true,
    excludePrivatePackages: true,
  });
  const lines = Object.entries(found)
    // What is built for one kind of machine alone is installed on that kind alone.
    .filter(([name]) => !/-(linux|darwin|win32|freebsd|android|wasm32)-?/.test(name))
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, { licenses, publisher }]) =>
      [name, [licenses].flat().join(" or "), publisher].filter(Boolean).join(" | "),
    );
  writeFileSync(inRepository("NOTICE"), `${head}\n${lines.join("\n")}\n`);
  say(`${lines.length} packages stand in NOTICE`);
});
