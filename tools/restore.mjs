// A file of `npm run backup` into an empty database: `npm run restore -- /somewhere/safe/clinic.sql.gz`; and as everything was at a moment
// after it: `npm run restore -- FILE --until 2026-11-28T14:30:00Z --changes FOLDER`, with the log of changes of the server it is of.
import { existsSync } from "node:fs";
import path from "node:path";
import { parseArgs } from "node:util";
import { restore } from "./machine/dump.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { runTool } from "./machine/prepare.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { inRepository } from "./machine/root.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  const { positionals, values } = readArguments();
  const [name] = positionals;
  if (!name || !existsSync(name))
    throw new PlainFailure("Say which file: npm run restore -- /somewhere/safe/clinic.sql.gz");
  const until = moment(values);
  await withOwner(async (url) => {
    const env = { DATABASE_OWNER_URL: url };
    if (runTool("count-tables.ts", [], env).trim() !== "0")
      throw new PlainFailure(
        "This database has something in it. Restore into an empty one: another STAIR_DATA_DIR, or another DATABASE_OWNER_URL.",
      );
    await restore(url, path.resolve(name), until);
    process.stdout.write(runTool("prepare-database.ts", [inRepository("db")], env));
  });
  say("everything is back; npm start shows it");
});

function readArguments() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { until: { type: "string" }, changes: { type: "string" } },
    });
  } catch (error) {
    throw new PlainFailure(error.message);
  }
}

function moment({ until, changes }) {
  if (!until && !changes) return null;
  if (!until || !changes)
    throw new PlainFailure(
      "A moment needs the log of changes: --until 2026-11-28T14:30:00Z --changes FOLDER",
    );
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z$/.test(until) || Number.isNaN(Date.parse(until)))
    throw new PlainFailure("--until is an instant in UTC with whole seconds, such as 2026-11-28T14:30:00Z");
  if (!existsSync(changes)) throw new PlainFailure(`There is no folder ${changes}.`);
  return { at: until, changes: path.resolve(changes) };
}
