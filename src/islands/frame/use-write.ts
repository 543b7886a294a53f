import { useCallback, useState } from "react";
import type { addresses } from "~/contract/addresses";
import type { Wire } from "~/contract/all";
import type { StaleOf } from "~/contract/endpoint";
import type { Problem } from "~/contract/problem";
import { call, type AnswerTo, type BodyFor, type ValuesOf } from "./call";
import { rememberFocus } from "./focus-home";
import { endIntent, idOfIntent } from "./intent";

/** Endpoints whose body carries an id of the sender's making. */
export type IdentifiedWrite = {
  [N in keyof Wire]: (typeof addresses)[N] extends `POST ${string}`
    ? BodyFor<N> extends { readonly id: string }
      ? N
      : never
    : never;
}[keyof Wire];

/** The body of a write without its id, which the hook makes; with it where the form has an id of its own. */
export type Content<N extends IdentifiedWrite> = Omit<BodyFor<N>, "id"> & { readonly id?: string };

export interface Write<N extends IdentifiedWrite> {
  /**
   * Sends the body; `about` tells one intent at an endpoint from another (which item, which day).
   *
   * @returns what the endpoint answered, or null after a problem
   */
  readonly send: (body: Content<N>, about?: string) => Promise<AnswerTo<N> | null>;
  readonly busy: boolean;
  readonly problem: Problem | null;
  readonly setProblem: (problem: Problem | null) => void;
}

/**
 * One way of writing for every view: owns the id (made once for an intent, kept over retries and reloads), what is under
 * way and what went wrong, and brings the focus back to where the work is when the button that had it is gone.
 *
 * @param onStale takes what stands now when the record changed meanwhile (409), and what was sent in vain
 */
export function useWrite<N extends IdentifiedWrite>(
  name: N,
  values: ValuesOf<N>,
  onStale?: (now: StaleOf<Wire[N]>, sent: Content<N>) => void,
): Write<N> {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const place = JSON.stringify(values);
  const send = useCallback<Write<N>["send"]>(
    async (body, about = "") => {
      const intent = `${name} ${place} ${about}`;
      const focus = rememberFocus();
      setBusy(true);
      const whole = { ...body, id: body.id ?? idOfIntent(intent) } as BodyFor<N>;
      const answer = await call(name, JSON.parse(place) as ValuesOf<N>, whole);
      setBusy(false);
      if (answer.ok) {
        endIntent(intent);
        setProblem(null);
        focus.bringBack();
        return answer.value;
      }
      // After a lost connection or a failure on the other side nobody knows whether it arrived: the id stays.
      const { status, type, changed } = answer.problem;
      if (status >= 400 && status < 500) endIntent(intent);
      setProblem(answer.problem);
      if (type === "/problems/stale") onStale?.(changed as StaleOf<Wire[N]>, body);
      return null;
    },
    [name, place, onStale],
  );
  return { send, busy, problem, setProblem };
}
