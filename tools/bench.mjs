// `npm run bench`: how long the heart of the product takes, as ratios against a stated baseline in the same run.
import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { startApplication } from "./machine/application.mjs";
import { ensureBuild } from "./machine/build.mjs";
import { startCluster } from "./machine/cluster.mjs";
import { ensurePrograms } from "./machine/debian.mjs";
import { startMariaDb } from "./machine/mariadb.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { prepareDatabase, runTool } from "./machine/prepare.mjs";
import { endProcess } from "./machine/processes.mjs";
import { inRepository } from "./machine/root.mjs";
import { runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  await ensurePackages();
  await ensurePrograms(["mariadb", "chromium", "galera"]);
  await ensureBuild();
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-bench-"));
  const database = await startMariaDb(path.join(folder, "db"), { keepRunning: false, quiet: true });
  try {
    prepareDatabase({ ownerUrl: database.ownerUrl, appUser: "'stair_app'@'127.0.0.1'", demo: true });
    const start = () =>
      startApplication({
        databaseUrl: database.appUrl,
        port: 0,
        env: { LOG_LEVEL: "silent", CALLS_A_MINUTE: "1000000" },
      });
    const app = await start();
    const second = await start();
    try {
      say("measuring (about five minutes; one of two processes is killed on the way)");
      const output = runTool("bench-run.ts", [inRepository("bench-results.json")], {
        DATABASE_URL: database.appUrl,
        DATABASE_OWNER_URL: database.ownerUrl,
        BENCH_URL: `http://127.0.0.1:${app.port}`,
        BENCH_SECOND_URL: `http://127.0.0.1:${second.port}`,
        BENCH_SECOND_PID: String(second.child.pid),
      });
      process.stdout.write(output);
    } finally {
      await endProcess(app.child.pid);
      await endProcess(second.child.pid);
    }
    await scale(folder);
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});

/** Ten thousand people against a hundred, three servers against one: each on a database of its own. */
async function scale(folder) {
  const appUser = "'stair_app'@'127.0.0.1'";
  const stops = [];
  const withDemo = async (database) => {
    stops.push(database.stop);
    prepareDatabase({ ownerUrl: database.ownerUrl, appUser, demo: true });
    return database;
  };
  const startAt = async (database, env = {}) => {
    const { child, port } = await startApplication({
      databaseUrl: database.appUrl,
      port: 0,
      env: { LOG_LEVEL: "silent", CALLS_A_MINUTE: "1000000", ...env },
    });
    stops.push(() => endProcess(child.pid));
    return `http://127.0.0.1:${port}`;
  };
  const single = (name) => startMariaDb(path.join(folder, name), { keepRunning: false, quiet: true });
  try {
    say(
      "measuring ten thousand people against a hundred, and three servers against one (about four minutes)",
    );
    const large = await withDemo(await single("large"));
    runTool("many.ts", ["51", "10000", "5000"], { DATABASE_OWNER_URL: large.ownerUrl });
    const one = await withDemo(await single("one"));
    const three = await withDemo(await startCluster(path.join(folder, "three"), { quiet: true }));
    process.stdout.write(
      runTool("bench-scale-run.ts", [], {
        DATABASE_URL: large.appUrl,
        BENCH_LARGE_URL: await startAt(large),
        BENCH_ONE_URL: await startAt(one),
        BENCH_THREE_URL: await startAt(three, { DATABASE_NODES: three.nodesFrom(0) }),
      }),
    );
  } finally {
    for (const stop of stops.reverse()) await stop();
  }
}
