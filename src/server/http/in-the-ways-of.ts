import { AsyncLocalStorage } from "node:async_hooks";
import { usualHabits, type Ways } from "~/contract/habits";
import { waysFrom } from "~/messages/ways";

const reading = new AsyncLocalStorage<Ways>();
waysFrom(() => reading.getStore() ?? usualHabits);

const isUsual = ({ weight, length, dates }: Ways) =>
  weight === usualHabits.weight && length === usualHabits.length && dates === usualHabits.dates;

/**
 * Answers a request with weights, lengths and dates written as its reader likes them. A page is made while it is read, so it is read
 * to its end here, where that is still known.
 */
export function inTheWaysOf(ways: Ways, answer: () => Promise<Response>): Promise<Response> {
  if (isUsual(ways)) return answer();
  return reading.run(ways, async () => {
    const response = await answer();
    if (!response.headers.get("content-type")?.startsWith("text/html")) return response;
    return new Response(await response.text(), response);
  });
}
