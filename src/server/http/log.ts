import pino from "pino";

/**
 * Structured logs on standard output. What is logged is a method, a route pattern, a status and a time: never a
 * body, a name, a query or an id of a patient. Known carriers are removed again here, should one slip in.
 */
export const log = pino({
  level: process.env["LOG_LEVEL"] ?? "info",
  base: null,
  redact: {
    paths: ["body", "*.body", "person", "*.person", "email", "*.email", "password", "*.password"],
    remove: true,
  },
});
