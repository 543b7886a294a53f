import type { BodyLimit } from "~/contract/endpoint";
import { ApiProblem } from "./problem";

/** How much beyond the limit is read and thrown away, so that the sender gets an answer and not a reset connection. */
const drainedBytes = 4_194_304;

/** Reads a JSON body, counting while it streams. @throws ApiProblem 413, 415 or 400 */
export async function readJson(request: Request, limit: BodyLimit): Promise<unknown> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/json\b/i.test(type)) {
    throw new ApiProblem(415, "not-json", "Send application/json.");
  }
  const body = parsed(await readLimited(request, limit.bytes));
  const fault = unkeepable(body, limit.depth);
  if (fault) throw new ApiProblem(400, "malformed-json", fault);
  return body;
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    throw new ApiProblem(400, "malformed-json", "The body is not JSON.");
  }
}

/** What the database could not keep as it was sent: text that is half a letter, or too many layers. Goes through it once. */
function unkeepable(body: unknown, deepest: number): string | null {
  const ahead: { value: unknown; depth: number }[] = [{ value: body, depth: 0 }];
  for (let next = ahead.pop(); next; next = ahead.pop()) {
    const { value, depth } = next;
    if (typeof value === "string" && !value.isWellFormed())
      return "The body has text with half a letter in it.";
    if (typeof value !== "object" || value === null) continue;
    if (depth >= deepest) return `The body is nested more than ${deepest} deep.`;
    for (const [key, inner] of Object.entries(value)) {
      if (!key.isWellFormed()) return "The body has text with half a letter in it.";
      ahead.push({ value: inner, depth: depth + 1 });
    }
  }
  return null;
}

async function readLimited(request: Request, limit: number): Promise<Uint8Array> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const part = await reader?.read();
    if (!part || part.done) break;
    size += part.value.byteLength;
    if (size <= limit) chunks.push(part.value);
    else if (size > limit + drainedBytes) break;
  }
  if (size > limit) {
    await reader?.cancel();
    throw new ApiProblem(413, "too-large", `The body is larger than ${Math.round(limit / 1024)} kB.`);
  }
  return Buffer.concat(chunks);
}
