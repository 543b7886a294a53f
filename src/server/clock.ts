import { readFileSync } from "node:fs";

/**
 * The server's clock. Everything that asks for the time asks here.
 * In tests (NODE_ENV=test) a file named by STAIR_CLOCK_FILE may hold an ISO instant that is shown instead, so that
 * several processes can be moved to 'the next morning' together; nowhere else is the clock movable.
 */
export function now(): string {
  // Taken out of the environment as it runs: the build writes `production` wherever it is asked for by its full name.
  const { NODE_ENV, STAIR_CLOCK_FILE: file } = process.env;
  if (NODE_ENV === "test" && file) {
    const text = readClock(file);
    if (text) return new Date(text).toISOString();
  }
  return new Date().toISOString();
}

function readClock(file: string): string | null {
  try {
    return readFileSync(file, "utf8").trim() || null;
  } catch {
    return null;
  }
}
