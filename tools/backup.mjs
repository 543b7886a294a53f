// Everything in the database into one file: `npm run backup -- /somewhere/safe/clinic.sql.gz`. The product may go on meanwhile.
import { existsSync, statSync } from "node:fs";
import path from "node:path";
import { backUp } from "./machine/dump.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  const [name] = process.argv.slice(2);
  if (!name) throw new PlainFailure("Say where: npm run backup -- /somewhere/safe/clinic.sql.gz");
  const file = path.resolve(name);
  if (!existsSync(path.dirname(file))) throw new PlainFailure(`There is no folder ${path.dirname(file)}.`);
  await withOwner((url) => backUp(url, file));
  say(`${Math.ceil(statSync(file).size / 1024)} kB in ${file}`);
  say(
    process.env.BACKUP_KEY
      ? "it is sealed with BACKUP_KEY: keep that key elsewhere, and RECORD_KEY with it; without either nothing comes back"
      : "it holds the names of patients and can be read by this user alone; set BACKUP_KEY to have it sealed",
  );
});
