import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import { WebSocket } from "ws";
import type { DeviceMessage } from "~/core/device/device-message";
import { deviceProfiles, ownLines, type DeviceProfile } from "~/core/device/device-profile";
import { measuredTrial } from "~/core/device/taken-by";
import { startStandIns } from "../../../tools/devices/stand-ins";
import { openCable, openSocket, type CablePort, type LinkEnd } from "./device-link";

/** What was told, and how it ended. */
function heard() {
  const messages: DeviceMessage[] = [];
  const ends: LinkEnd[] = [];
  return {
    messages,
    ends,
    events: {
      told: (message: DeviceMessage) => void messages.push(message),
      ended: (why: LinkEnd) => void ends.push(why),
    },
    samples: () => messages.flatMap((message) => (message.type === "samples" ? message.values : [])),
  };
}
const patience = { timeout: 8000, interval: 20 };

describe("over a local connection", () => {
  let standIns: Awaited<ReturnType<typeof startStandIns>>;
  beforeAll(async () => {
    standIns = await startStandIns({ port: 0, speed: 50 });
  });
  afterAll(() => standIns.stop());
  beforeEach(() => void vi.stubGlobal("WebSocket", WebSocket));
  afterEach(() => void vi.unstubAllGlobals());

  it("a stand-in says who it is, plays the trial that was ordered, and the next by itself", async () => {
    const at = heard();
    const link = openSocket(standIns.url, "dynamometer", at.events);
    await vi.waitUntil(() => at.messages.length >= 2, patience);
    expect(at.messages[0]).toMatchObject({ type: "hello", kind: "dynamometer", unit: "N", sampleHz: 1000 });
    expect(at.messages[1]).toMatchObject({ type: "battery" });
    link.order({ v: 1, type: "play", event: "slipped", peak: 200, seed: 5 });
    link.order({ v: 1, type: "start" });
    await vi.waitUntil(() => at.samples().length >= 6450, patience);
    const firsts = at.messages.flatMap((message) => (message.type === "samples" ? [message.first] : []));
    expect(firsts[0]).toBe(0);
    const trial = measuredTrial("force", { sampleHz: 1000, values: at.samples() });
    expect(trial.faults).toEqual(["slipped"]);
    expect(Math.abs((trial.value ?? 0) / 200 - 1)).toBeLessThan(0.02);
    link.close();
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.ends).toEqual(["closed"]);
  });

  it("a battery that dies in a trial says so, and is lost", async () => {
    const at = heard();
    const link = openSocket(standIns.url, "cuff", at.events);
    await vi.waitUntil(() => at.messages.length >= 2, patience);
    link.order({ v: 1, type: "play", event: "battery", seed: 1 });
    link.order({ v: 1, type: "start" });
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.messages.at(-1)).toEqual({ v: 1, type: "bye", why: "battery" });
    expect(at.ends).toEqual(["lost"]);
  });

  it("where nothing listens it is unreachable; a page from elsewhere is turned away", async () => {
    const at = heard();
    openSocket("ws://127.0.0.1:9", "mat", at.events);
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.ends).toEqual(["unreachable"]);
    const refused = await new Promise((resolve) => {
      const other = new WebSocket(standIns.url, { origin: "https://elsewhere.example" });
      other.once("open", () => resolve("opened"));
      other.once("error", (error) => resolve(error.message));
    });
    expect(refused).toMatch(/401/);
  });
});

/** A port that is none: what is put into `send` is what the device says. */
function pseudoPort() {
  const sent: string[] = [];
  let into: ReadableStreamDefaultController<Uint8Array> | undefined;
  const port: CablePort = {
    open: async () => undefined,
    close: async () => undefined,
    readable: new ReadableStream<Uint8Array>({ start: (controller) => void (into = controller) }),
    writable: new WritableStream<Uint8Array>({
      write: (bytes) => void sent.push(new TextDecoder().decode(bytes)),
    }),
  };
  const send = (text: string) => into?.enqueue(new TextEncoder().encode(text));
  return { port, sent, send, unplug: () => into?.close() };
}

describe("over a cable", () => {
  const plain = deviceProfiles.find(({ code }) => code === "plain-newtons") as DeviceProfile;

  it("our own lines are read however they are cut, and orders go out", async () => {
    const at = heard();
    const { port, sent, send } = pseudoPort();
    const link = await openCable(port, ownLines, at.events);
    send('{"v":1,"type":"battery","per');
    send('cent":80}\r\n\n{"v":1,"type":"samples","first":0,"values":[1');
    send(",2]}\n");
    await vi.waitUntil(() => at.messages.length === 2, patience);
    expect(at.samples()).toEqual([1, 2]);
    link.order({ v: 1, type: "start" });
    link.order({ v: 1, type: "be", kind: "mat" });
    await vi.waitUntil(() => sent.length > 0, patience);
    expect(sent).toEqual([`${ownLines.start}\n`]);
    link.close();
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.ends).toEqual(["closed"]);
  });

  it("a device that sends one number a line is understood by its profile; pulled out it is lost", async () => {
    const at = heard();
    const { port, send, unplug } = pseudoPort();
    await openCable(port, plain, at.events);
    send("0.0\n12,5\n13 N\n");
    await vi.waitUntil(() => at.samples().length === 2, patience);
    expect(at.samples()).toEqual([12.5, 13]);
    unplug();
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.ends).toEqual(["lost"]);
  });

  it("what speaks another language is unreadable, also without end", async () => {
    const at = heard();
    const { port, send } = pseudoPort();
    await openCable(port, plain, at.events);
    send("hello\nthere\n");
    send("x".repeat(70_000));
    await vi.waitUntil(() => at.ends.length > 0, patience);
    expect(at.ends).toEqual(["unreadable"]);
  });
});
