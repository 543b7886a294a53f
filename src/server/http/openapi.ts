import type { TObject, TSchema } from "@sinclair/typebox";
import { allCalculations } from "~/catalogue/calculations/all";
import { addressOf } from "~/contract/addresses";
import { endpoints } from "~/contract/all";
import { Problem } from "~/contract/problem";

/** One operation of the interface, whether an endpoint of the contract or a calculation. */
export interface Operation {
  readonly method: "get" | "post";
  readonly path: string;
  readonly summary: string;
  readonly query?: TObject;
  readonly body?: TSchema;
  readonly answer: TSchema;
  readonly status: number;
  readonly example?: unknown;
  readonly media?: string;
}

/** Every operation with the schemas that check it; a test compares this list with the route files. */
export const operations: readonly Operation[] = [
  ...endpoints.map(({ name, says, query, body, answer, status = 200, media }): Operation => {
    const { method, path } = addressOf(name);
    return {
      method: method === "GET" ? "get" : "post",
      path,
      summary: says,
      ...(query ? { query } : {}),
      ...(body ? { body } : {}),
      answer,
      status,
      ...(media ? { media: media.split(";")[0] as string } : {}),
    };
  }),
  ...allCalculations.map((c): Operation => ({
    method: "post",
    path: `/api/calc/${c.name}`,
    summary: c.says,
    body: c.input,
    answer: c.output,
    status: 200,
    example: c.example,
  })),
];

/** The interface description (OpenAPI 3.1) made from the schemas that check every request. */
export function openApi(): Record<string, unknown> {
  const paths: Record<string, Record<string, object>> = {};
  for (const operation of operations) {
    paths[operation.path] = { ...paths[operation.path], [operation.method]: describe(operation) };
  }
  return {
    openapi: "3.1.0",
    info: {
      title: "Patient Stair",
      version: "1",
      description: "All times are UTC; all quantities are in SI units.",
    },
    paths,
  };
}

function describe({ path, summary, query, body, answer, status, example, media }: Operation): object {
  const json = (schema: TSchema, sample?: unknown, type = "application/json") => ({
    [type]: {
      schema: { ...schema, $id: undefined },
      ...(sample === undefined ? {} : { example: sample }),
    },
  });
  const problem = { "application/problem+json": { schema: Problem } };
  const parameters = [...pathParameters(path), ...(query ? queryParameters(query) : [])];
  return {
    summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: json(body, example) } } : {}),
    responses: {
      [status]: { description: status === 201 ? "Written" : "Done", content: json(answer, undefined, media) },
      default: { description: "A problem, by field where one is wrong", content: problem },
    },
  };
}

/** What varies in a path; an `id` is that of an episode. */
function pathParameters(path: string): object[] {
  return [...path.matchAll(/\{(\w+)\}/g)].map(([, name = ""]) => ({
    name,
    in: "path",
    required: true,
    schema: name === "id" ? { type: "string", format: "uuid" } : { type: "string" },
  }));
}

function queryParameters({ properties, required = [] }: TObject): object[] {
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: "query",
    required: required.includes(name),
    schema,
  }));
}
