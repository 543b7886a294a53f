import { execFile, spawnSync } from "node:child_process";
import { promisify } from "node:util";
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import path from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { certificateBetween } from "./between.mjs";
import { bufferPool, startMariaDb } from "./mariadb.mjs";
import { commandLine } from "./processes.mjs";
import { freePort } from "./ports.mjs";
import { databaseSecrets } from "./secrets.mjs";
import { PlainFailure, say } from "./say.mjs";

const run = promisify(execFile);
const provider = "/usr/lib/galera/libgalera_smm.so";
/** On one machine a neighbour that is silent for this long is gone; over a network one leaves Galera its own, longer times. */
const timing = [
  "evs.keepalive_period=PT0.3S",
  "evs.inactive_check_period=PT0.2S",
  "evs.suspect_timeout=PT1.5S",
  "evs.inactive_timeout=PT4S",
  "evs.install_timeout=PT4S",
];

/**
 * Starts MariaDB servers on loopback that hold the same, as one Galera cluster. Where they ran before, the one that got furthest
 * begins and the others catch up.
 *
 * @returns accounts as of `startMariaDb` at the first of them, `nodesFrom(n)` for DATABASE_NODES with server n first, `pid(n)`,
 *   `between(n)`, `restart(n)` for one that was killed, and `stop()`
 */
export async function startCluster(folder, { size = 3, quiet = false } = {}) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const secrets = databaseSecrets(folder);
  const between = certificateBetween(folder);
  const scripts = transferScripts(folder);
  const places = [];
  for (let n = 1; n <= size; n += 1) places.push(await placeOf(folder, n, secrets, between));
  const reached = await Promise.all(places.map(async ({ data }) => (await positionOf(data)).at));
  const first = reached.indexOf(Math.max(...reached));

  const servers = [];
  const launch = async (n, isFirst) => {
    const place = places[n];
    if (!quiet) say(`server ${n + 1} of ${size} ${isFirst ? "begins the cluster" : "joins"}`);
    if (isFirst) allowToBegin(place.data);
    const server = await startMariaDb(place.folder, {
      quiet: true,
      keepRunning: false,
      joins: !isFirst,
      optionsFile: place.options,
      path: scripts,
      arguments: await argumentsOf(place, isFirst ? [] : places),
    });
    await synced(server, n + 1);
    return server;
  };
  servers[first] = await launch(first, true);
  for (let n = 0; n < size; n += 1) if (n !== first) servers[n] = await launch(n, false);

  let watching;
  const restart = async (n) => {
    await servers[n].restart({ joins: true, arguments: await argumentsOf(places[n], places) });
    await synced(servers[n], n + 1);
  };
  const { ownerUrl, appUrl, recordKey } = servers[0];
  const address = (n) => `127.0.0.1:${servers[n % size].port}`;
  return {
    ownerUrl,
    appUrl,
    recordKey,
    servers,
    /** Where server n and its neighbours speak to one another, and what they know each other by. */
    between: (n) => ({ port: places[n].ports[0], ...between }),
    nodesFrom: (n) => places.map((_, step) => address(n + step)).join(","),
    pid: (n) => servers[n].pid(),
    restart,
    /** Starts again, a second later, whichever of them ends. */
    keepRunning: () => {
      const busy = new Set();
      watching = setInterval(() => {
        servers.forEach((server, n) => {
          if (busy.has(n) || commandLine(server.pid()) !== null) return;
          busy.add(n);
          say(`server ${n + 1} ended unexpectedly; starting it again`);
          restart(n)
            .catch((error) => say(error.message))
            .finally(() => busy.delete(n));
        });
      }, 1000);
    },
    stop: async () => {
      clearInterval(watching);
      // The last one to end is the one that got furthest.
      for (const server of [...servers].reverse()) await server.stop();
    },
  };
}

/** Folder, ports and options of one server; the same at every start. */
async function placeOf(folder, n, secrets, between) {
  const own = path.join(folder, `server-${n}`);
  mkdirSync(own, { recursive: true, mode: 0o700 });
  copyFileSync(path.join(folder, "secrets.json"), path.join(own, "secrets.json"));
  const options = path.join(own, "cluster.cnf");
  // Who copies a whole server to another signs in for it; not on a command line, where everybody could read it.
  const lines = [
    "[mariadbd]",
    `wsrep_sst_auth=root:${secrets.root}`,
    `innodb_buffer_pool_size=${bufferPool}`,
    "[sst]",
    "encrypt=4",
    `tkey=${between.key}`,
    `tcert=${between.certificate}`,
    `tca=${between.certificate}`,
  ];
  writeFileSync(options, `${lines.join("\n")}\n`, { mode: 0o600 });
  const ports = [];
  const portsFile = path.join(own, "cluster.ports");
  const before = existsSync(portsFile) ? JSON.parse(readFileSync(portsFile, "utf8")) : [];
  for (let use = 0; use < 3; use += 1) ports.push(await freePort(before[use] ?? 0));
  writeFileSync(portsFile, JSON.stringify(ports));
  return { n, folder: own, data: path.join(own, "mariadb"), options, ports, between };
}

async function argumentsOf({ n, data, ports: [group, catchUp, copy], between }, others) {
  const position = await positionOf(data);
  return [
    "--wsrep-on=ON",
    `--wsrep-provider=${provider}`,
    "--wsrep-cluster-name=patient-stair",
    `--wsrep-cluster-address=gcomm://${others.map(({ ports }) => `127.0.0.1:${ports[0]}`).join(",")}`,
    `--wsrep-node-name=server-${n}`,
    `--wsrep-node-address=127.0.0.1:${group}`,
    "--wsrep-sst-method=mariabackup",
    `--wsrep-sst-receive-address=127.0.0.1:${copy}`,
    `--wsrep-provider-options=${[
      `base_port=${group}`,
      `gmcast.listen_addr=tcp://127.0.0.1:${group}`,
      `ist.recv_addr=127.0.0.1:${catchUp}`,
      "gcache.size=64M",
      `socket.ssl_key=${between.key}`,
      `socket.ssl_cert=${between.certificate}`,
      `socket.ssl_ca=${between.certificate}`,
      ...timing,
    ].join(";")}`,
    "--binlog-format=ROW",
    "--innodb-autoinc-lock-mode=2",
    ...(position.at >= 0 ? [`--wsrep-start-position=${position.text}`] : []),
  ];
}

/** How far the data of a server that is not running got: what it noted when it ended, or, when it was killed, what InnoDB kept. */
async function positionOf(data) {
  const file = path.join(data, "grastate.dat");
  const none = { at: -1, text: "" };
  if (!existsSync(file)) return none;
  const noted = readFileSync(file, "utf8");
  const group = /uuid:\s*(\S+)/.exec(noted)?.[1];
  const seqno = Number(/seqno:\s*(-?\d+)/.exec(noted)?.[1] ?? -1);
  if (seqno >= 0) return { at: seqno, text: `${group}:${seqno}` };
  const folder = mkdtempSync(path.join(path.dirname(data), "recover-"));
  const log = path.join(folder, "log.err");
  await run("/usr/sbin/mariadbd", [
    "--no-defaults",
    `--datadir=${data}`,
    `--tmpdir=${folder}`,
    `--log-error=${log}`,
    `--socket=${path.join(folder, "s")}`,
    `--pid-file=${path.join(folder, "pid")}`,
    "--skip-networking",
    "--wsrep-on=ON",
    `--wsrep-provider=${provider}`,
    "--binlog-format=ROW",
    "--wsrep-cluster-address=gcomm://",
    "--wsrep-recover",
    ...(process.getuid?.() === 0 ? ["--user=root"] : []),
  ]).catch(() => undefined);
  const said = existsSync(log) ? readFileSync(log, "utf8") : "";
  const found = /Recovered position:\s*(\S+):(-?\d+)/.exec(said);
  rmSync(folder, { recursive: true, force: true });
  return found ? { at: Number(found[2]), text: `${found[1]}:${found[2]}` } : none;
}

/** A server that did not end last refuses to begin a cluster by itself; this one got furthest. */
function allowToBegin(data) {
  const file = path.join(data, "grastate.dat");
  if (!existsSync(file)) return;
  writeFileSync(file, readFileSync(file, "utf8").replace(/safe_to_bootstrap:\s*\d/, "safe_to_bootstrap: 1"));
}

async function synced(server, n) {
  const { socketPath, user, password } = server.root;
  for (let waited = 0; waited < 60_000; waited += 250) {
    const asked = await run(
      "mariadb",
      [
        "--no-defaults",
        `--socket=${socketPath}`,
        `--user=${user}`,
        "--batch",
        "--skip-column-names",
        "--execute=SHOW STATUS LIKE 'wsrep_local_state_comment'",
      ],
      { env: { ...process.env, MYSQL_PWD: password } },
    ).catch(() => ({ stdout: "" }));
    if (asked.stdout.includes("Synced")) return;
    await sleep(250);
  }
  throw new PlainFailure(`Server ${n} did not join the cluster; its log says why.`);
}

/** Where the scripts are with which one server copies itself to another: Debian keeps them in a package with more in it. */
function transferScripts(folder) {
  if (existsSync("/usr/bin/wsrep_sst_mariabackup")) return "/usr/bin";
  const unpacked = path.join(folder, "transfer");
  const scripts = path.join(unpacked, "usr/bin");
  if (existsSync(path.join(scripts, "wsrep_sst_mariabackup"))) return scripts;
  mkdirSync(unpacked, { recursive: true });
  say("fetching the scripts that copy one server to another from Debian's package");
  const got = spawnSync("apt-get", ["download", "mariadb-server"], { cwd: unpacked, encoding: "utf8" });
  const file = readdirSync(unpacked).find((name) => name.endsWith(".deb"));
  const opened = file
    ? spawnSync("dpkg-deb", ["-x", path.join(unpacked, file), unpacked], { encoding: "utf8" })
    : null;
  if (opened?.status !== 0)
    throw new PlainFailure(
      `The scripts could not be fetched: ${(got.stderr || opened?.stderr || "").trim()}. Run 'apt-get update', then try again.`,
    );
  return scripts;
}
