// The laws of decisions asked of many lived records: `npm run test:lives`, or `npm run test:lives -- 500 7` for 500 from seed 7.
import { spawnSync } from "node:child_process";
import { ensurePackages } from "./machine/packages.mjs";
import { inRepository, repositoryRoot } from "./machine/root.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  const [lives = "10000", seed = "31"] = process.argv.slice(2);
  if (!/^[1-9]\d*$/.test(lives) || !/^\d+$/.test(seed))
    throw new PlainFailure("Give how many lives, and a seed, as whole numbers: npm run test:lives -- 500 7");
  say(`${lives} lived records from seed ${seed}: about a second for ten of them`);
  const { status } = spawnSync(
    inRepository("node_modules/.bin/vitest"),
    ["run", "--project", "unit", "tests/reference/lived-laws.test.ts"],
    { cwd: repositoryRoot, stdio: "inherit", env: { ...process.env, LIVES: lives, SEED: seed } },
  );
  process.exitCode = status ?? 1;
});
