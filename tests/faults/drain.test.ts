import { afterAll, beforeAll, expect, it } from "vitest";
import { Client, signedIn } from "~tests/harness/client";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { commandLine } from "../../tools/machine/processes.mjs";

let servers: Servers;
beforeAll(async () => {
  servers = await startOwnServers(1);
});
afterAll(() => servers.stop());

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

it("a process that is told to end says so and answers until whoever asks has gone elsewhere: nothing is reset", async () => {
  const stays = await signedIn(servers.urls[0] as string);
  const ending = await servers.startApp({ DRAIN_SECONDS: "2" });
  const ends = stays.at(ending.url);
  const failed: unknown[] = [];
  const answered = { before: 0, draining: 0, elsewhere: 0 };
  let [isTold, isKnown, isOver] = [false, false, false];
  /** Asks without a pause, as a proxy's connections do: of whichever process was ready when it was last asked. */
  const ask = async () => {
    while (!isOver) {
      const phase = isKnown ? "elsewhere" : isTold ? "draining" : "before";
      const reply = await (isKnown ? stays : ends).get("/api/caseload").catch((error: unknown) => {
        failed.push([phase, String((error as Error).cause ?? error)]);
        return null;
      });
      if (reply && reply.status !== 200) failed.push([phase, reply.status]);
      answered[phase] += 1;
    }
  };
  /** A proxy asks again in its own time; until then everything still comes here. */
  const probe = async () => {
    while (!isKnown) {
      await wait(500);
      const ready = await new Client(ending.url).get("/ready").catch(() => null);
      isKnown = ready?.status !== 200;
    }
  };
  const asking = Array.from({ length: 12 }, ask);
  await expect.poll(() => answered.before, { timeout: 60_000 }).toBeGreaterThan(50);
  process.kill(ending.pid, "SIGTERM");
  isTold = true;
  await probe();
  await expect.poll(() => commandLine(ending.pid), { timeout: 20_000 }).toBeNull();
  isOver = true;
  await Promise.all(asking);
  expect(failed).toEqual([]);
  for (const count of Object.values(answered)) expect(count).toBeGreaterThan(5);
});
