// Every property asked of other drawn cases: `npm run test:seeds`, or `npm run test:seeds -- 20 7` for 20 seeds from 7.
import { spawnSync } from "node:child_process";
import { readFileSync, readdirSync } from "node:fs";
import { ensurePackages } from "./machine/packages.mjs";
import { inRepository, repositoryRoot } from "./machine/root.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

const drawing = ["src", "tests/reference", "demo"].flatMap((room) =>
  readdirSync(inRepository(room), { recursive: true })
    .map((file) => `${room}/${file}`)
    .filter(
      (file) => file.endsWith(".test.ts") && readFileSync(inRepository(file), "utf8").includes("fast-check"),
    ),
);

await runPlainly(async () => {
  await ensurePackages();
  const [seeds = "10", first = String(Date.now() % 1_000_000)] = process.argv.slice(2);
  if (!/^[1-9]\d*$/.test(seeds) || !/^\d+$/.test(first))
    throw new PlainFailure(
      "Give how many seeds, and the first, as whole numbers: npm run test:seeds -- 20 7",
    );
  const failed = [];
  for (let seed = Number(first); seed < Number(first) + Number(seeds); seed++) {
    say(`cases drawn from seed ${seed}, in ${drawing.length} files`);
    const { status } = spawnSync(
      inRepository("node_modules/.bin/vitest"),
      ["run", "--project", "unit", ...drawing],
      { cwd: repositoryRoot, stdio: "inherit", env: { ...process.env, CASES_SEED: String(seed) } },
    );
    if (status !== 0) failed.push(seed);
  }
  process.stdout.write(
    `\n${seeds} seeds, ${failed.length} failed${failed.length ? `: ${failed.join(", ")}` : ""}\n`,
  );
  process.exitCode = failed.length === 0 ? 0 : 1;
});
