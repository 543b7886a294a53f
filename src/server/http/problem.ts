import type { FieldProblem } from "~/core/schema/field-problem";

/** A failure with an answer of its own: becomes application/problem+json. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly type: string;
  readonly problems: readonly FieldProblem[];
  readonly changed: unknown;
  readonly headers: Record<string, string>;

  constructor(
    status: number,
    type: string,
    title: string,
    more: { problems?: readonly FieldProblem[]; changed?: unknown; headers?: Record<string, string> } = {},
  ) {
    super(title);
    this.status = status;
    this.type = type;
    this.problems = more.problems ?? [];
    this.changed = more.changed;
    this.headers = more.headers ?? {};
  }

  /** The answer as sent. */
  response(): Response {
    const { status, type, message: title, problems, changed } = this;
    const body = {
      type: `/problems/${type}`,
      title,
      status,
      ...(problems.length > 0 ? { problems } : {}),
      ...(changed === undefined ? {} : { changed }),
    };
    return new Response(JSON.stringify(body), {
      status,
      headers: { "content-type": "application/problem+json", "cache-control": "no-store", ...this.headers },
    });
  }
}

/** The same answer for what does not exist and for what belongs to another clinic. */
export function notFound(): ApiProblem {
  return new ApiProblem(404, "not-found", "There is nothing here that you can see.");
}

/** Input that is well-formed JSON but wrong. */
export function refused(problems: readonly FieldProblem[], more: { changed?: unknown } = {}): ApiProblem {
  return new ApiProblem(422, "refused-input", "Some of this cannot be recorded. Nothing was saved.", {
    problems,
    ...more,
  });
}

/** The database is there and takes nothing: it was set to be read only, or has no room left. */
export function databaseReadsOnly(): ApiProblem {
  return new ApiProblem(
    503,
    "reading-only",
    "Only reading works just now: the database takes nothing new. Nothing was saved; keep it on paper and try again.",
    { headers: { "retry-after": "30" } },
  );
}

export function databaseDown(): ApiProblem {
  return new ApiProblem(
    503,
    "database-unavailable",
    "The database cannot be reached just now. Nothing was saved; try again in a moment.",
    {
      headers: { "retry-after": "5" },
    },
  );
}
