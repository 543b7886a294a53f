// Fills the database with copies of the invented clinic, to see how the product is with many: `npm run make-many -- 100 10000 5000`.
import { ensurePackages } from "./machine/packages.mjs";
import { runTool } from "./machine/prepare.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { PlainFailure, runPlainly } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  const numbers = process.argv.slice(2);
  if (!numbers.every((text) => /^[1-9]\d*$/.test(text)))
    throw new PlainFailure(
      "Say how many clinics, people in all, people of the biggest, and years of its records: -- 100 10000 5000 5",
    );
  await withOwner((url) => process.stdout.write(runTool("many.ts", numbers, { DATABASE_OWNER_URL: url })));
});
