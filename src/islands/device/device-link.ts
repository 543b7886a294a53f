import type { DeviceKind, DeviceMessage, DeviceOrder } from "~/core/device/device-message";
import { ownLines, type DeviceProfile, type LineReader } from "~/core/device/device-profile";

/** Why a device is heard no more. */
export type LinkEnd = "unreachable" | "lost" | "unreadable" | "closed";

export interface LinkEvents {
  readonly told: (message: DeviceMessage) => void;
  readonly ended: (why: LinkEnd) => void;
}

/** A device that is listened to. */
export interface DeviceLink {
  readonly order: (order: DeviceOrder) => void;
  readonly close: () => void;
}

/** So many lines that say nothing known: another device, or another version. */
const mostUnread = 3;

/** Hands lines on as messages; tells when they are none of this device's. */
function listener(read: LineReader, { told }: LinkEvents, unreadable: () => void) {
  let unread = 0;
  return (line: string) => {
    const message = read(line);
    if (message === null) return;
    if (message.ok) return told(message.value);
    unread += 1;
    if (unread === mostUnread) unreadable();
  };
}

/**
 * Listens to a device over a local connection.
 *
 * @param address of a WebSocket on this machine
 * @param kind which of several is meant
 */
export function openSocket(address: string, kind: DeviceKind, events: LinkEvents): DeviceLink {
  const socket = new WebSocket(address);
  let why: LinkEnd = "unreachable";
  const end = (as: LinkEnd) => {
    why = as;
    socket.close();
  };
  const hear = listener(ownLines.reader(), events, () => end("unreadable"));
  socket.onopen = () => {
    why = "lost";
    socket.send(JSON.stringify({ v: 1, type: "be", kind } satisfies DeviceOrder));
  };
  socket.onmessage = ({ data }) => hear(String(data));
  // Whatever failed closes it too, and is told then.
  socket.onerror = () => undefined;
  socket.onclose = () => events.ended(why);
  return {
    order: (order) => {
      if (socket.readyState === WebSocket.OPEN) socket.send(JSON.stringify(order));
    },
    close: () => end("closed"),
  };
}

/** What is used of a cable's port. */
export type CablePort = Pick<SerialPort, "open" | "close" | "readable" | "writable">;

/**
 * Listens to a device over a cable, as its profile says.
 *
 * @param port that somebody chose in the browser
 */
export async function openCable(
  port: CablePort,
  profile: DeviceProfile,
  events: LinkEvents,
): Promise<DeviceLink> {
  await port.open({ baudRate: profile.baudRate });
  let why: LinkEnd = "lost";
  const reader = port.readable?.getReader();
  const end = (as: LinkEnd) => {
    why = as;
    void reader?.cancel().catch(() => undefined);
  };
  const hear = listener(profile.reader(), events, () => end("unreadable"));
  void linesOf(reader, hear)
    .catch(() => undefined)
    .then(async () => {
      reader?.releaseLock();
      await port.close().catch(() => undefined);
      events.ended(why);
    });
  const write = async (text: string) => {
    const writer = port.writable?.getWriter();
    if (text !== "") await writer?.write(new TextEncoder().encode(`${text}\n`));
    writer?.releaseLock();
  };
  return {
    order: ({ type }) => {
      if (type === "start" || type === "stop") void write(profile[type]).catch(() => end("lost"));
    },
    close: () => end("closed"),
  };
}

/** Longer than any line: what has no end is none. */
const longestLine = 65_536;

async function linesOf(
  reader: ReadableStreamDefaultReader<Uint8Array> | undefined,
  hear: (line: string) => void,
): Promise<void> {
  const decoder = new TextDecoder();
  let rest = "";
  for (;;) {
    const chunk = await reader?.read();
    if (!chunk || chunk.done) return;
    const lines = (rest + decoder.decode(chunk.value, { stream: true })).split(/\r?\n/);
    rest = lines.pop() ?? "";
    lines.forEach(hear);
    if (rest.length > longestLine) {
      hear(rest);
      rest = "";
    }
  }
}
