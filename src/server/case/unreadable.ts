import { log } from "~/server/http/log";
import { ApiProblem } from "~/server/http/problem";

/**
 * A record that the present rules cannot judge: said as that, beside what became of the write. The cause is logged, which
 * names fields and codes and no person.
 */
export function unreadable(became: string, cause?: unknown): ApiProblem {
  if (cause !== undefined)
    log.error({ error: String((cause as Error)?.stack ?? cause) }, "a record that cannot be judged");
  return new ApiProblem(
    500,
    "unreadable-record",
    `${became} This record cannot be read by the present rules. Whoever looks after the program has to see it; go by paper until then.`,
  );
}
