import { addressOf, urlOf, type EndpointName } from "~/contract/addresses";
import type { Wire } from "~/contract/all";
import type { AnswerOf, BodyOf, PathOf, QueryOf } from "~/contract/endpoint";
import type { Problem } from "~/contract/problem";
import { unattendedHeader } from "~/contract/unattended";
import { noteEdition } from "./edition";
import { signInAgain } from "./signed-out";
import { tellNews } from "./patient-news";
import { t } from "~/messages/say";

export type Answer<T> = { ok: true; value: T } | { ok: false; problem: Problem };

/** What goes into the address of an endpoint: the values of its path and of its query. */
export type ValuesOf<N extends EndpointName> = PathOf<Wire[N]> & QueryOf<Wire[N]>;
export type AnswerTo<N extends EndpointName> = AnswerOf<Wire[N]>;
export type BodyFor<N extends EndpointName> = BodyOf<Wire[N]>;

/**
 * Calls one of the product's own endpoints by its name in the contract; a lost connection is an answer like any other. The
 * only place where what came over the wire is taken for what the contract says it is.
 *
 * @param unattended the page asks by itself: it keeps nobody signed in
 */
export async function call<N extends EndpointName>(
  name: N,
  values: ValuesOf<N>,
  body?: BodyFor<N>,
  { unattended = false } = {},
): Promise<Answer<AnswerTo<N>>> {
  try {
    const response = await fetch(urlOf(name, values), {
      method: addressOf(name).method,
      headers: {
        ...(body === undefined ? {} : { "content-type": "application/json" }),
        ...(unattended ? { [unattendedHeader]: "1" } : {}),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    noteEdition(response.headers);
    const isFile = response.headers.get("content-type")?.startsWith("application/pdf") ?? false;
    const data: unknown = isFile ? await response.blob() : await response.json();
    if (response.ok) {
      const { method, path } = addressOf(name);
      if (method !== "GET" && path.startsWith("/api/episodes/")) tellNews({ endpoint: name, answer: data });
      return { ok: true, value: data as AnswerTo<N> };
    }
    const problem = data as Problem;
    if (problem.type === "/problems/not-signed-in") {
      // In place: what stands on the page stays, and the same call goes out once more. Who is meant may not have been there.
      if (await signInAgain()) return await call(name, values, body);
      return { ok: false, problem: { ...problem, title: t("form.signedOut") } };
    }
    return { ok: false, problem };
  } catch {
    return { ok: false, problem: { type: "/problems/offline", title: t("form.offline"), status: 0 } };
  }
}
