import { readFileSync } from "node:fs";

/**
 * The server's clock. Everything that asks for the time asks here.
 * In tests (NODE_ENV=test) a file named by STAIR_CLOCK_FILE may hold an ISO instant that is shown instead, so that
 * several processes can be moved to 'the next morning' together; nowhere else is the clock movable.
 */
export function now(): string {
  const file = process.env["STAIR_CLOCK_FILE"];
  if (process.env["NODE_ENV"] === "test" && file) {
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
