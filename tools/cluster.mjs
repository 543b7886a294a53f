// A trial of several servers: three MariaDB nodes that hold the same (Galera), and two application processes. `npm run cluster`.
import path from "node:path";
import { startApplication } from "./machine/application.mjs";
import { ensureBuild } from "./machine/build.mjs";
import { startCluster } from "./machine/cluster.mjs";
import { ensurePrograms } from "./machine/debian.mjs";
import { ensurePackages } from "./machine/packages.mjs";
import { freePort } from "./machine/ports.mjs";
import { prepareDatabase } from "./machine/prepare.mjs";
import { endProcess } from "./machine/processes.mjs";
import { dataFolder } from "./machine/root.mjs";
import { claimFolder } from "./machine/running.mjs";
import { runPlainly, say } from "./machine/say.mjs";
import { stopsOf } from "./machine/stopping.mjs";

const processes = 2;

await runPlainly(async () => {
  await ensurePackages();
  await ensurePrograms(["mariadb", "galera"]);
  const folder = path.join(dataFolder(), "cluster");
  const release = claimFolder(folder);
  process.once("exit", release);
  const stops = stopsOf(release);
  try {
    const cluster = await startCluster(folder);
    stops.add(cluster.stop);
    const appUser = "'stair_app'@'127.0.0.1'";
    const demo = prepareDatabase({ ownerUrl: cluster.ownerUrl, appUser, demo: true });
    await ensureBuild();
    const lines = ["", "Patient Stair on three servers, which may be killed one at a time:"];
    cluster.servers.forEach((server, n) =>
      lines.push(`server ${n + 1}        127.0.0.1:${server.port}, process ${server.pid()}`),
    );
    for (let n = 0; n < processes; n += 1) {
      const launch = (port) =>
        startApplication({
          databaseUrl: cluster.appUrl,
          port,
          env: {
            LOG_LEVEL: process.env.LOG_LEVEL ?? "warn",
            RECORD_KEY: process.env.RECORD_KEY ?? cluster.recordKey,
            DATABASE_NODES: cluster.nodesFrom(n),
          },
        });
      let application = await launch(await freePort(4321 + n));
      stops.add(() => endProcess(application.child.pid));
      lines.push(`application     http://127.0.0.1:${application.port}, process ${application.child.pid}`);
      const startAgain = async () => {
        for (;;) {
          await application.ended;
          if (stops.wasAsked()) return;
          say("an application ended unexpectedly; starting it again");
          application = await launch(application.port);
        }
      };
      startAgain().catch((error) => say(error.message));
    }
    cluster.keepRunning();
    lines.push(`sign in with    ${demo.accounts[0]}`, `password        ${demo.password}`);
    process.stdout.write(`${[...lines, "                Ctrl-C stops it", ""].join("\n")}\n`);
  } catch (error) {
    if (stops.wasAsked()) return;
    await stops.endAll();
    throw error;
  }
});
