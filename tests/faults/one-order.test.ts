import { afterAll, beforeAll, expect, it } from "vitest";
import { signedIn } from "~tests/harness/client";
import { faultsIn } from "~tests/harness/history";
import { liveHistory } from "~tests/harness/live-history";
import { startOwnServers, type Servers } from "~tests/harness/servers";
import { fencer } from "~tests/harness/story";
import { endProcess } from "../../tools/machine/processes.mjs";

let servers: Servers;

beforeAll(async () => {
  servers = await startOwnServers(2);
});
afterAll(() => servers.stop());

it("one record written and read at three processes at once, one of them killed, the database killed: one order, seen by everybody", async () => {
  const doomed = await servers.startApp();
  const here = await signedIn(servers.urls[0] as string);
  const clients = [here, here.at(servers.urls[1] as string), here.at(doomed.url)];
  const { writes, reads } = await liveHistory({
    clients,
    episode: fencer,
    key: "fencer",
    writers: 4,
    readers: 4,
    seconds: 25,
    meanwhile: [
      [6, () => process.kill(doomed.pid, "SIGKILL")],
      [
        14,
        async () => {
          const pid = servers.database.pid() as number;
          process.kill(pid, "SIGKILL");
          await endProcess(pid);
          await servers.database.restart();
        },
      ],
    ],
  });
  process.stdout.write(`${writes.length} writes, ${reads.length} readings of one record\n`);
  expect(writes.filter(({ answeredAt }) => answeredAt === null)).toEqual([]);
  expect(writes.length).toBeGreaterThan(40);
  expect(reads.at(-1)?.ids).toHaveLength(writes.length);
  expect(faultsIn(writes, reads)).toEqual([]);
});
