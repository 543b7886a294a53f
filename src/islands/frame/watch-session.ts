import { call } from "./call";

const everyMs = 5 * 60_000;

/**
 * Finds out by itself when nobody is signed in any more, so that a page at which nobody works is covered and keeps no draft, though it
 * asks for nothing else. Asking so keeps nobody signed in.
 */
export function watchSession(): void {
  setInterval(() => void call("readAccount", {}, undefined, { unattended: true }), everyMs);
}
