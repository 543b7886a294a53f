import http from "node:http";
import { v7 as uuid } from "uuid";
import { expect, it } from "vitest";
import { atClinic } from "~tests/harness/at-clinic";

/** What the application hands out by itself, and what it takes for a key. */
const clinic = atClinic();

const codeOf = (path: string) =>
  new Promise<number>((resolve, reject) => {
    const { hostname, port } = new URL(clinic.servers.urls[0] as string);
    // By hand: a client that follows the standard puts such a path right before it asks.
    http
      .request({ hostname, port, path }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      })
      .on("error", reject)
      .end();
  });

it.each(["/.git/config", "/package.json", "/_astro/", "/_astro/../../package.json", "/server/entry.mjs"])(
  "nothing but what was built for browsers is served, and no folder tells what is in it: %s",
  async (path) => {
    expect([301, 303, 404]).toContain(await codeOf(path));
  },
);

it("keys of prototypes are keys like others: unknown, and refused", async () => {
  const url = clinic.servers.urls[0] as string;
  for (const key of ["__proto__", "constructor", "prototype"]) {
    const reply = await fetch(`${url}/api/intakes/drafts`, {
      method: "POST",
      headers: { "content-type": "application/json", origin: url, cookie: clinic.client.sessionCookie },
      body: `{"id":"${uuid()}","label":"x","body":{},"${key}":{"role":"lead"}}`,
    });
    expect(reply.status, key).toBe(422);
  }
  expect(({} as { role?: string }).role).toBeUndefined();
});
