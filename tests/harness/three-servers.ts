import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { startApplication } from "../../tools/machine/application.mjs";
import { startCluster } from "../../tools/machine/cluster.mjs";
import { prepareDatabase } from "../../tools/machine/prepare.mjs";
import { endProcess } from "../../tools/machine/processes.mjs";
import { clockAt } from "../../tools/machine/template.mjs";

export interface ThreeServers {
  readonly cluster: Awaited<ReturnType<typeof startCluster>>;
  /** Starts an application process whose own database server is number n, from 0. */
  readonly startApp: (n: number) => Promise<{ url: string; pid: number }>;
  readonly stop: () => Promise<void>;
}

/** Three database servers with the demo in them, in folders that are thrown away. */
export async function startThreeServers(): Promise<ThreeServers> {
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-three-"));
  const clock = clockAt(folder);
  const cluster = await startCluster(path.join(folder, "cluster"), { quiet: true });
  const appUser = "'stair_app'@'127.0.0.1'";
  prepareDatabase({ ownerUrl: cluster.ownerUrl, appUser, demo: true, env: clock });
  const pids: number[] = [];
  return {
    cluster,
    startApp: async (n) => {
      const { port, child } = await startApplication({
        databaseUrl: cluster.appUrl,
        port: 0,
        env: {
          ...clock,
          LOG_LEVEL: "error",
          CALLS_A_MINUTE: "1000000",
          RECORD_KEY: cluster.recordKey,
          DATABASE_NODES: cluster.nodesFrom(n),
        },
      });
      pids.push(child.pid as number);
      return { url: `http://127.0.0.1:${port}`, pid: child.pid as number };
    },
    stop: async () => {
      for (const pid of pids) await endProcess(pid);
      await cluster.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
