// Erases everybody whose erasure a lead has asked for: `npm run erase`. Backups made before hold them still.
import { ensurePackages } from "./machine/packages.mjs";
import { runTool } from "./machine/prepare.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  await withOwner((url) => process.stdout.write(runTool("erase.ts", [], { DATABASE_OWNER_URL: url })));
  say("what was written into backups before stays there until those are thrown away");
});
