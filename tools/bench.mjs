// `npm run bench`: how long the heart of the product takes, as ratios against a stated baseline in the same run.
import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { startApplication } from "./machine/application.mjs";
import { ensureBuild } from "./machine/build.mjs";
import { ensurePrograms } from "./machine/debian.mjs";
import { startMariaDb } from "./machine/mariadb.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { prepareDatabase, runTool } from "./machine/prepare.mjs";
import { endProcess } from "./machine/processes.mjs";
import { inRepository } from "./machine/root.mjs";
import { runPlainly, say } from "./machine/say.mjs";

await runPlainly(async () => {
  ensurePackages();
  ensurePrograms(["mariadb", "chromium"]);
  await ensureBuild();
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-bench-"));
  const database = await startMariaDb(path.join(folder, "db"), { keepRunning: false, quiet: true });
  try {
    prepareDatabase({ ownerUrl: database.ownerUrl, appUser: "'stair_app'@'127.0.0.1'", demo: true });
    const start = () =>
      startApplication({ databaseUrl: database.appUrl, port: 0, env: { LOG_LEVEL: "silent" } });
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
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
