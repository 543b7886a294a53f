// Everything needed to run all tests on a bare machine: `npm test`, or one suite: `npm run test:api`.
import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { ensureBuild } from "./machine/build.mjs";
import { ensurePrograms } from "./machine/debian.mjs";
import { ended } from "./machine/ended.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { inRepository, repositoryRoot } from "./machine/root.mjs";
import { makeTemplate } from "./machine/template.mjs";
import { PlainFailure, runPlainly, say } from "./machine/say.mjs";

const bin = (name) => inRepository("node_modules/.bin", name);
const scratch = mkdtempSync(path.join(os.tmpdir(), "stair-test-"));

/** A check that either passes or fails as a whole. */
const checks = [
  { says: "formatting", command: [bin("oxfmt"), "--check"] },
  {
    says: "formatting of the pages",
    command: [bin("prettier"), "--check", "--log-level", "warn", "src/**/*.astro"],
  },
  { says: "lint", command: [bin("oxlint"), "--format", "unix"] },
  { says: "lint of the pages", command: [bin("eslint"), "src/**/*.astro"] },
  {
    says: "types",
    command: [process.execPath, inRepository("node_modules/typescript-native/bin/tsc"), "--noEmit"],
  },
  {
    says: "types of the pages",
    command: [
      bin("astro"),
      ...["check", "--minimumSeverity", "warning", "--noSync", "--tsconfig", "tsconfig.pages.json"],
    ],
  },
];
const suites = {
  unit: { says: "unit and reference tests", programs: [], build: false },
  api: { says: "API tests against MariaDB, two processes", programs: ["mariadb"], build: true },
  browser: { says: "browser tests in Chromium", programs: ["mariadb", "chromium"], build: true },
  stories: {
    says: "whole episodes, weeks long, lived in Chromium",
    programs: ["mariadb", "chromium"],
    build: true,
  },
  faults: {
    says: "long faults: processes and servers killed, whole mornings at once, the container's recipe",
    programs: ["mariadb", "galera"],
    build: true,
  },
};
/** What `npm test` leaves to commands of their own. */
const long = ["faults", "stories"];
const usual = Object.keys(suites).filter((name) => !long.includes(name));

function run(command, env = {}) {
  const [file, ...args] = command;
  return spawnSync(file, args, {
    cwd: repositoryRoot,
    stdio: ["ignore", "inherit", "inherit"],
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1", ...env },
  }).status;
}

/** Runs a check beside others and shows what it said once it has ended, so that their words do not mix. */
async function runCheck({ says, command: [file, ...args] }) {
  const { status, said } = await ended(file, args, {
    cwd: repositoryRoot,
    stdio: ["ignore", "pipe", "pipe"],
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: "1" },
  });
  say(says);
  process.stdout.write(said);
  if (status === 0) return { passed: 1, failed: 0 };
  return { passed: 0, failed: 1, failures: [`${says}\n${firstLines(said)}`] };
}

/** Looks at the code while the application is built: neither needs the other, and there are two processors. */
async function runChecks() {
  const [, ...results] = await Promise.all([ensureBuild(), ...checks.map(runCheck)]);
  return results;
}

async function runSuite(name) {
  const { says, programs, build } = suites[name];
  if (build) await ensureBuild();
  if (programs.includes("mariadb")) process.env.STAIR_TEST_TEMPLATE ??= await makeTemplate(scratch);
  say(says);
  const report = path.join(scratch, `${name}.json`);
  const status = run(
    [
      bin("vitest"),
      "run",
      "--project",
      name,
      "--reporter=default",
      "--reporter=json",
      `--outputFile.json=${report}`,
    ],
    { NODE_ENV: "test" },
  );
  try {
    const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(report, "utf8"));
    return {
      passed: numPassedTests,
      failed: Math.max(numFailedTests, status === 0 ? 0 : 1),
      failures: testResults.flatMap((file) => failuresOf(name, file)),
    };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

/** What failed in a test file, each in a few lines: said again at the very end, where a long log is looked at first. */
function failuresOf(suite, { name: file, message, assertionResults }) {
  const place = `${suite} · ${path.relative(repositoryRoot, file)}`;
  const failed = assertionResults.filter((result) => result.status === "failed");
  if (failed.length === 0) return message ? [`${place}\n${firstLines(message)}`] : [];
  return failed.map(
    ({ fullName, failureMessages }) => `${place} · ${fullName}\n${firstLines(failureMessages.join("\n"))}`,
  );
}

const firstLines = (text) => text.split("\n").slice(0, 12).join("\n").slice(0, 1_500);

await runPlainly(async () => {
  const wanted = process.argv.slice(2);
  const unknown = wanted.find((name) => !(name in suites));
  if (unknown)
    throw new PlainFailure(`${unknown} is not a suite; there are ${Object.keys(suites).join(", ")}.`);
  const names = wanted.length > 0 ? wanted : usual;
  const programs = [...new Set(names.flatMap((name) => suites[name].programs))];
  await Promise.all([ensurePackages(), ensurePrograms(programs)]);
  const results = wanted.length === 0 ? await runChecks() : [];
  for (const name of names) results.push(await runSuite(name));
  rmSync(scratch, { recursive: true, force: true });
  for (const failure of results.flatMap((result) => result.failures ?? []))
    process.stdout.write(`\n✗ ${failure}\n`);
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  process.stdout.write(`\n${total("passed")} passed, ${total("failed")} failed\n`);
  process.exitCode = total("failed") === 0 ? 0 : 1;
});
