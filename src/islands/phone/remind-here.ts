import { drop, keep } from "~/workers/phone/phone-store";
import { reminderTag } from "~/workers/phone/reminder";

/** Where the browser wakes the worker of an installed page from time to time; the platform's types know nothing of it yet. */
interface PeriodicSync {
  register(tag: string, options: { minInterval: number }): Promise<void>;
  unregister(tag: string): Promise<void>;
  getTags(): Promise<string[]>;
}

/** `not-here`: this phone cannot, or only where the page was put on its home screen. */
export type Reminding = "on" | "off" | "not-allowed" | "not-here";

const everyMs = 3 * 3_600_000;

async function periodicSync(): Promise<PeriodicSync | null> {
  if (!("Notification" in globalThis) || !("serviceWorker" in navigator)) return null;
  const registration = await navigator.serviceWorker.getRegistration("/my");
  return (registration as { periodicSync?: PeriodicSync } | undefined)?.periodicSync ?? null;
}

/** Whether this phone reminds of the morning by itself. */
export async function isReminding(): Promise<Reminding> {
  const sync = await periodicSync();
  if (!sync) return "not-here";
  if (Notification.permission === "denied") return "not-allowed";
  return Notification.permission === "granted" && (await sync.getTags()).includes(reminderTag) ? "on" : "off";
}

/**
 * Has the phone remind of the morning, without any service of anybody's.
 *
 * @param words what stands on the locked screen: nothing of what is treated
 */
export async function remindHere(words: { title: string; body: string }): Promise<Reminding> {
  const sync = await periodicSync();
  if (!sync) return "not-here";
  if ((await Notification.requestPermission()) !== "granted") return "not-allowed";
  try {
    await sync.register(reminderTag, { minInterval: everyMs });
  } catch {
    return "not-here";
  }
  await keep("reminder", words);
  return "on";
}

export async function remindNoMore(): Promise<Reminding> {
  const sync = await periodicSync();
  await sync?.unregister(reminderTag);
  await drop("reminder");
  return sync ? "off" : "not-here";
}
