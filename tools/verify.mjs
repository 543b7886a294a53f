// Goes through the log of every clinic, link by link, and compares the record with what the log says was written: `npm run verify`.
// With `-- CLINIC=END` a last link that was kept elsewhere must stand in the chain.
import { spawnSync } from "node:child_process";
import { ensurePackages } from "./machine/packages.mjs";
import { repositoryRoot } from "./machine/root.mjs";
import { withOwner } from "./machine/reach-database.mjs";
import { runPlainly } from "./machine/say.mjs";
import { toolArguments } from "./machine/tool.mjs";

await runPlainly(async () => {
  await ensurePackages();
  await withOwner((url, recordKey) => {
    const { status } = spawnSync(
      process.execPath,
      [...toolArguments("verify.ts"), ...process.argv.slice(2)],
      {
        cwd: repositoryRoot,
        stdio: "inherit",
        env: { ...process.env, DATABASE_OWNER_URL: url, ...(recordKey ? { RECORD_KEY: recordKey } : {}) },
      },
    );
    process.exitCode = status ?? 1;
  });
});
