import { WebSocket, WebSocketServer } from "ws";
import { readDeviceOrder, type DeviceKind, type DeviceMessage } from "~/core/device/device-message";
import { standIns, standInTrial, usualPeak, type Played } from "~/core/device/stand-in";

/** How fast stand-ins play: 1 as devices do; more where a test waits. */
interface How {
  readonly port: number;
  readonly speed?: number;
  /** Where the lots of trials that nobody ordered begin. */
  readonly seed?: number;
}

const chunkMs = 20;
const beginsFull = 82;
/** Of trials that nobody ordered, every so many slips. */
const slipsEvery = 5;
const largestOrder = 4096;
const loopback = new Set(["127.0.0.1", "localhost", "[::1]"]);

/**
 * Stand-ins for a dynamometer, a cuff, a jump mat and a luggage scale, on this machine alone: only pages of this machine may ask
 * them.
 *
 * @returns their address, and how to stop them
 */
export async function startStandIns({
  port,
  speed = 1,
  seed = 1,
}: How): Promise<{ url: string; stop: () => void }> {
  const server = new WebSocketServer({
    host: "127.0.0.1",
    port,
    maxPayload: largestOrder,
    verifyClient: ({ origin }: { origin?: string }) => isOfThisMachine(origin),
  });
  await new Promise((resolve, reject) => server.once("listening", resolve).once("error", reject));
  server.on("connection", (socket) => serveOne(socket, speed, seed));
  const address = server.address();
  if (address === null || typeof address === "string") throw new Error("it listens on a port");
  return {
    url: `ws://127.0.0.1:${address.port}`,
    stop: () => {
      for (const client of server.clients) client.terminate();
      server.close();
    },
  };
}

/** A page's own address says who asks; what is no page says none. */
function isOfThisMachine(origin: string | undefined): boolean {
  if (origin === undefined) return true;
  return URL.canParse(origin) && loopback.has(new URL(origin).hostname);
}

/** One page and the device that it asked for. */
function serveOne(socket: WebSocket, speed: number, firstSeed: number): void {
  let kind: DeviceKind = "dynamometer";
  let battery = beginsFull;
  let seed = firstSeed;
  let ordered: Partial<Played> | null = null;
  let timer: NodeJS.Timeout | null = null;
  const tell = (message: DeviceMessage) => {
    if (socket.readyState === WebSocket.OPEN) socket.send(JSON.stringify(message));
  };
  const quiet = () => {
    if (timer) clearInterval(timer);
    timer = null;
  };
  const play = () => {
    quiet();
    const played: Played = {
      kind,
      event: seed % slipsEvery === 0 ? "slipped" : "clean",
      peak: usualPeak[kind] * (1 + ((seed * 7) % 5) / 100),
      seed,
      ...ordered,
    };
    [seed, ordered] = [seed + 1, null];
    const samples = standInTrial(played);
    const each = Math.max(1, Math.round((standIns[kind].sampleHz * chunkMs * speed) / 1000));
    let first = 0;
    timer = setInterval(() => {
      const values = samples.slice(first, first + each);
      if (values.length > 0) tell({ v: 1, type: "samples", first, values });
      first += each;
      if (first < samples.length) return;
      quiet();
      if (played.event !== "battery") return;
      tell({ v: 1, type: "bye", why: "battery" });
      socket.close();
    }, chunkMs);
  };
  socket.on("message", (data: Buffer) => {
    const order = readDeviceOrder(data.toString());
    if (!order.ok) return;
    switch (order.value.type) {
      case "be":
        quiet();
        kind = order.value.kind;
        tell(standIns[kind]);
        return tell({ v: 1, type: "battery", percent: battery });
      case "play": {
        const { v: _v, type: _type, ...asked } = order.value;
        ordered = asked;
        return;
      }
      case "start":
        battery = Math.max(0, battery - 1);
        tell({ v: 1, type: "battery", percent: battery });
        return play();
      case "stop":
        return quiet();
    }
  });
  socket.on("close", quiet);
  socket.on("error", quiet);
}
