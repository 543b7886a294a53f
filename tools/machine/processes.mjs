import { readFileSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";

/** The command line of a live process, or null when there is none with this id. */
export function commandLine(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").replaceAll("\0", " ").trim() || null;
  } catch {
    return null;
  }
}

/** Asks a process to end, waits, and insists when it does not. */
export async function endProcess(pid, patienceMs = 15_000) {
  const gone = async (ms) => {
    for (let waited = 0; waited < ms; waited += 50) {
      if (commandLine(pid) === null) return true;
      await sleep(50);
    }
    return commandLine(pid) === null;
  };
  signal(pid, "SIGTERM");
  if (await gone(patienceMs)) return;
  signal(pid, "SIGKILL");
  await gone(5_000);
}

function signal(pid, name) {
  try {
    process.kill(pid, name);
  } catch (error) {
    if (error.code !== "ESRCH") throw error;
  }
}
