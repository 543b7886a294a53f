import { readFileSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";
import { describe, expect, it } from "vitest";
import { signedIn } from "~tests/harness/client";
import { atStart, ended, type Start } from "~tests/harness/start-command";
import { fencer, squeezeSession } from "~tests/harness/story";
import { startMariaDb } from "../../tools/machine/mariadb.mjs";
import { commandLine } from "../../tools/machine/processes.mjs";

const at = atStart();
const session = squeezeSession("fencer", { occurredAt: new Date(Date.now() - 60_000).toISOString() });
const idOf = (entries: { session?: { id: string } }[]) => entries.map((entry) => entry.session?.id);

/** Sessions in the record of the one who was recorded into. */
async function recorded(): Promise<(string | undefined)[]> {
  const client = await signedIn(at.url);
  const { entries } = (await client.get(`/api/episodes/${fencer}/record`)).body;
  return idOf(entries);
}

/** The application's process, which is a child of the start command. */
function applicationOf({ child }: Start): number {
  const children = readFileSync(`/proc/${child.pid}/task/${child.pid}/children`, "utf8").split(" ");
  return Number(children.find((pid) => pid !== "" && commandLine(pid)?.includes("tools/serve.mjs")));
}

/** Waits until the application is ready again, and sees that it is. */
async function isReadyAgain(): Promise<void> {
  const status = () =>
    fetch(`${at.url}/ready`).then(
      (reply) => reply.status,
      () => null,
    );
  for (let waited = 0; waited < 200 && (await status()) !== 200; waited += 1) await sleep(100);
  expect(await status()).toBe(200);
}

describe("npm start after a fault", () => {
  let running: Start;

  it("killed with -9 it leaves nothing that a new start cannot mend; the data are kept", async () => {
    const first = await at.start();
    const client = await signedIn(at.url);
    expect((await client.post(`/api/episodes/${fencer}/sessions`, session)).status).toBe(201);
    process.kill(first.child.pid as number, "SIGKILL");
    await ended(first.child);
    running = await at.start();
    expect(running.output()).not.toContain("building");
    expect(running.output()).not.toContain("installing");
    expect(await recorded()).toContain(session.id);
  });

  it("a database server that was orphaned is found and ended first", async () => {
    running.child.kill("SIGTERM");
    await ended(running.child);
    const orphan = await startMariaDb(at.folder, { keepRunning: false, quiet: true });
    const pid = orphan.pid() as number;
    running = await at.start();
    expect(running.output()).toContain("ending a database server left by an earlier run");
    expect(at.databasePid()).not.toBe(pid);
    expect(commandLine(pid)).toBeNull();
  });

  it("a database that dies is started again by itself", async () => {
    const dead = at.databasePid();
    process.kill(dead, "SIGKILL");
    await isReadyAgain();
    expect(at.databasePid()).not.toBe(dead);
  });

  it("an application that ends is started again by itself", async () => {
    const dead = applicationOf(running);
    process.kill(dead, "SIGKILL");
    while (commandLine(dead) !== null) await sleep(20);
    await isReadyAgain();
    expect(running.output()).toContain("the application ended unexpectedly; starting it again");
    expect(applicationOf(running)).not.toBe(dead);
  });

  it("--reset-demo begins afresh", async () => {
    running.child.kill("SIGINT");
    expect(await ended(running.child)).toBe(0);
    const fresh = await at.start(["--reset-demo"]);
    expect(await recorded()).not.toContain(session.id);
    fresh.child.kill("SIGTERM");
    expect(await ended(fresh.child)).toBe(0);
  });
});
