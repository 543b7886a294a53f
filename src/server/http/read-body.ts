import { ApiProblem } from "./problem";

/** Largest body of a request; a long session is about 30 kB. */
export const bodyLimitBytes = 262_144;

/** How much beyond the limit is read and thrown away, so that the sender gets an answer and not a reset connection. */
const drainedBytes = 4_194_304;

/** Reads a JSON body, counting while it streams. @throws ApiProblem 413, 415 or 400 */
export async function readJson(request: Request, limit = bodyLimitBytes): Promise<unknown> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/json\b/i.test(type)) {
    throw new ApiProblem(415, "not-json", "Send application/json.");
  }
  const bytes = await readLimited(request, limit);
  try {
    return JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    throw new ApiProblem(400, "malformed-json", "The body is not JSON.");
  }
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
