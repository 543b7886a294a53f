// `npm run test:mutation [-- room …]`: changes the core's rules one by one and looks whether a test notices. Minutes a room.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { ensurePackages } from "./machine/packages.mjs";
import { inRepository, repositoryRoot } from "./machine/root.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

/** Rooms that are mutated, each with the tests that stand for it. */
const rooms = {
  decision: {
    mutate: ["src/core/decision/**/*.ts"],
    tests: [
      "src/core/decision/**/*.test.ts",
      "tests/reference/decision-truth-table.test.ts",
      "tests/reference/worked-examples.test.ts",
      "tests/reference/decision-boundaries.test.ts",
      "tests/reference/second-edition*.test.ts",
      "tests/reference/evidence-words*.test.ts",
      "tests/reference/whole-plans*.test.ts",
      "tests/reference/reaches.test.ts",
      "tests/reference/sit-back-form.test.ts",
      "src/core/case/arranged.test.ts",
      "src/core/review/signed-change.test.ts",
      "src/core/review/day-by-day.test.ts",
    ],
  },
  gate: {
    mutate: ["src/core/gate/**/*.ts"],
    tests: [
      "src/core/gate/**/*.test.ts",
      "tests/reference/groin-pathway.test.ts",
      "tests/reference/gate-thresholds.test.ts",
    ],
  },
  response: {
    mutate: ["src/core/response/**/*.ts"],
    tests: [
      "src/core/response/**/*.test.ts",
      "tests/reference/pain-schools.test.ts",
      "tests/reference/decision-truth-table.test.ts",
      "tests/reference/worked-examples.test.ts",
      "tests/reference/second-edition*.test.ts",
    ],
  },
  place: { mutate: ["src/core/intake/place.ts"], tests: ["src/core/intake/**/*.test.ts"] },
  progression: {
    mutate: ["src/core/progression/**/*.ts"],
    tests: [
      "src/core/progression/**/*.test.ts",
      "src/catalogue/exercises/*.test.ts",
      "src/core/limit/one-leg.test.ts",
      "src/core/decision/beyond-limit.test.ts",
      "tests/reference/reaches.test.ts",
      "tests/reference/sit-back-form.test.ts",
      "tests/reference/loads-and-minutes.test.ts",
      "tests/reference/stage-coverage.test.ts",
      "tests/reference/worked-examples.test.ts",
      "tests/reference/second-edition-shelf.test.ts",
      "tests/reference/second-edition-remedies.test.ts",
      "tests/reference/words-of-the-trade.test.ts",
      "tests/reference/twenty-prescriptions.test.ts",
    ],
  },
  exercise: { mutate: ["src/core/exercise/**/*.ts"], tests: ["src/core/exercise/**/*.test.ts"] },
  limit: {
    mutate: ["src/core/limit/**/*.ts"],
    tests: [
      "src/core/limit/**/*.test.ts",
      "src/core/progression/harder-limits.test.ts",
      "tests/reference/limit-triples.test.ts",
      "tests/reference/limited-roads.test.ts",
    ],
  },
  dose: {
    mutate: ["src/core/dose/**/*.ts"],
    tests: ["src/core/dose/**/*.test.ts", "tests/reference/loads-and-minutes.test.ts"],
  },
  measure: {
    mutate: ["src/core/measure/**/*.ts"],
    tests: [
      "src/core/measure/**/*.test.ts",
      "tests/reference/measures.test.ts",
      "tests/reference/measure-norms.test.ts",
    ],
  },
};

const leastPercent = 85;
const table = inRepository("docs/testing.md");
const [open, close] = ["<!-- mutation table -->", "<!-- end of the table -->"];

/** Runs one room. @returns how many changes were noticed, and the ones that were not */
function runRoom(name) {
  const { mutate, tests } = rooms[name];
  const report = inRepository(`.mutation/${name}.json`);
  const config = inRepository(`.mutation-${name}.json`);
  const settings = {
    testRunner: "vitest",
    vitest: { configFile: "vitest.mutation.config.ts", related: false },
    mutate: [...mutate, "!src/**/*.test.ts"],
    coverageAnalysis: "perTest",
    ignoreStatic: true,
    reporters: ["json"],
    jsonReporter: { fileName: report },
    tempDirName: `.mutation/${name}-sandbox`,
    concurrency: 2,
    logLevel: "warn",
    allowConsoleColors: false,
    // Words are not rules: what a message or a schema's description says is not mutated.
    mutator: { excludedMutations: ["StringLiteral"] },
  };
  writeFileSync(config, JSON.stringify(settings));
  say(`mutating ${name}`);
  const { status } = spawnSync(inRepository("node_modules/.bin/stryker"), ["run", config], {
    cwd: repositoryRoot,
    stdio: ["ignore", "inherit", "inherit"],
    env: { ...process.env, NODE_ENV: "test", MUTATION_TESTS: tests.join(",") },
  });
  rmSync(config, { force: true });
  if (status !== 0 || !existsSync(report))
    throw new PlainFailure(`The mutation run of ${name} did not finish.`);
  const mutants = Object.entries(JSON.parse(readFileSync(report, "utf8")).files).flatMap(
    ([file, { mutants: all }]) => all.map((mutant) => ({ ...mutant, file })),
  );
  const count = (...states) => mutants.filter(({ status: state }) => states.includes(state)).length;
  const noticed = count("Killed", "Timeout");
  const survivors = mutants.filter(({ status: state }) => state === "Survived" || state === "NoCoverage");
  return { name, mutants: noticed + survivors.length, noticed, survivors };
}

/** Puts a room's line into the table, in place of the one before. */
function writeLine({ name, mutants, noticed }) {
  const text = readFileSync(table, "utf8");
  const [before, rest] = text.split(open);
  const [lines, after] = rest.split(close);
  const kept = lines.split("\n").filter((line) => line.startsWith("|") && !line.startsWith(`| ${name} |`));
  const percent = ((100 * noticed) / Math.max(1, mutants)).toFixed(1);
  const sorted = [...kept.slice(2), `| ${name} | ${mutants} | ${noticed} | ${percent} % |`].sort();
  writeFileSync(
    table,
    `${before}${open}\n\n${[...kept.slice(0, 2), ...sorted].join("\n")}\n\n${close}${after}`,
  );
}

await runPlainly(async () => {
  await ensurePackages();
  const wanted = process.argv.slice(2);
  const unknown = wanted.find((name) => !(name in rooms));
  if (unknown)
    throw new PlainFailure(`${unknown} is not a room; there are ${Object.keys(rooms).join(", ")}.`);
  let short = 0;
  for (const name of wanted.length > 0 ? wanted : Object.keys(rooms)) {
    const result = runRoom(name);
    writeLine(result);
    const percent = (100 * result.noticed) / Math.max(1, result.mutants);
    if (percent < leastPercent) short += 1;
    process.stdout.write(
      `${name}: ${result.noticed} of ${result.mutants} noticed (${percent.toFixed(1)} %)\n`,
    );
    for (const { file, location, mutatorName, replacement } of result.survivors)
      process.stdout.write(
        `  ${file}:${location.start.line} ${mutatorName} → ${String(replacement).replaceAll("\n", " ").slice(0, 80)}\n`,
      );
  }
  process.exitCode = short === 0 ? 0 : 1;
});
