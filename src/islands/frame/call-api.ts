import type { Problem } from "~/contract/problem";
import { t } from "~/messages/say";

export type Answer<T> = { ok: true; value: T } | { ok: false; problem: Problem };

/** Calls one of the product's own endpoints; a lost connection is an answer like any other. */
export async function callApi<T>(path: string, body?: object): Promise<Answer<T>> {
  try {
    const response = await fetch(path, {
      method: body ? "POST" : "GET",
      headers: body ? { "content-type": "application/json" } : {},
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const data: unknown = await response.json();
    if (response.ok) return { ok: true, value: data as T };
    const problem = data as Problem;
    if (problem.status === 401 && location.pathname !== "/sign-in") {
      return { ok: false, problem: { ...problem, title: t("form.signedOut") } };
    }
    return { ok: false, problem };
  } catch {
    return { ok: false, problem: { type: "/problems/offline", title: t("form.offline"), status: 0 } };
  }
}
