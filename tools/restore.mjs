// A file of `npm run backup` into an empty database: `npm run restore -- /somewhere/safe/clinic.sql.gz`.
import { existsSync } from "node:fs";
import path from "node:path";
import { restore } from "./machine/dump.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { runTool } from "./machine/prepare.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { inRepository } from "./machine/root.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  ensurePackages();
  const [name] = process.argv.slice(2);
  if (!name || !existsSync(name))
    throw new PlainFailure("Say which file: npm run restore -- /somewhere/safe/clinic.sql.gz");
  await withOwner(async (url) => {
    const env = { DATABASE_OWNER_URL: url };
    if (runTool("count-tables.ts", [], env).trim() !== "0")
      throw new PlainFailure(
        "This database has something in it. Restore into an empty one: another STAIR_DATA_DIR, or another DATABASE_OWNER_URL.",
      );
    await restore(url, path.resolve(name));
    process.stdout.write(runTool("prepare-database.ts", [inRepository("db")], env));
  });
  say("everything is back; npm start shows it");
});
