import { useCallback, useEffect } from "react";
import type { UseFormReturn } from "react-hook-form";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { StairView } from "~/contract/episode";
import { useWrite } from "~/islands/frame/use-write";
import type { MessageKey } from "~/messages/en";
import { t } from "~/messages/say";
import { toBody } from "./session-body";
import { itemOf, itemState, type SessionDraft } from "./session-draft";

/** Fields of a set as they are called where they are typed. */
const fieldWords = {
  reps: "session.reps",
  holdSeconds: "session.hold",
  contacts: "session.contacts",
  minutes: "session.minutes",
  forceN: "session.force",
  loadKg: "session.load",
  painDuring: "session.painDuring",
  effort: "session.effort",
} as const satisfies Readonly<Record<string, MessageKey>>;
const againAfterMs = 5000;

/**
 * Sends the session. Without a connection it stays and is sent again by itself; its id makes sure that it is recorded
 * once, however often it arrives.
 */
export function useSubmit(form: UseFormReturn<SessionDraft>, stair: StairView, done: () => void) {
  const write = useWrite("recordSession", { id: stair.episodeId });
  const { send: record, setProblem } = write;

  const send = useCallback(
    async (meant = false) => {
      const body = toBody(form.getValues());
      const written = body && (await record(meant ? { ...body, meant } : body));
      if (written) done();
    },
    [done, form, record],
  );

  const { problem } = write;
  const waiting = problem?.status === 0 && problem.type === "/problems/offline";
  useEffect(() => {
    if (!problem || waiting) return;
    scrollTo({ top: 0 });
    // The record has this id with other content: what stands here is a session of its own when it is sent again.
    if (problem.type === "/problems/id-conflict") form.setValue("id", uuid());
  }, [problem, waiting, form]);

  useEffect(() => {
    if (!waiting) return;
    const again = () => void send();
    const timer = setInterval(again, againAfterMs);
    addEventListener("online", again);
    return () => {
      clearInterval(timer);
      removeEventListener("online", again);
    };
  }, [send, waiting]);

  const submit = (event: React.FormEvent) => {
    event.preventDefault();
    const missing = whatIsMissing(form.getValues(), stair);
    if (missing) {
      setProblem(missing);
      return scrollTo({ top: 0 });
    }
    setProblem(null);
    void send();
  };

  /** Words for a field's path in an answer of the endpoint. */
  const sayPath = (path: string) => {
    const [, list, index, , set] = path.split("/");
    const sent = form.getValues("items").filter((item) => itemState(item) !== "open");
    const group = sent.filter((item) => (list === "unplanned") === (item.unplanned !== null));
    const entry = group[Number(index)];
    const name = entry ? itemOf(entry, stair)?.name : undefined;
    const words = [name, set === undefined ? "" : t("session.set", { number: Number(set) + 1 })];
    const last = path.split("/").at(-1) ?? "";
    const field = last in fieldWords ? t(fieldWords[last as keyof typeof fieldWords]) : "";
    return [...words, name ? field : path.slice(1)].filter(Boolean).join(", ");
  };

  const shown = waiting && problem ? { ...problem, title: t("session.waiting") } : problem;
  return { submit, sendAsMeant: () => void send(true), problem: shown, busy: write.busy, sayPath };
}

/** Pain and effort are asked of everybody; what is begun must be whole before it is sent. */
function whatIsMissing(draft: SessionDraft, stair: StairView): Problem | null {
  const lines = draft.items.flatMap((item) => {
    if (itemState(item) !== "part") return [];
    const exercise = itemOf(item, stair)?.name ?? "";
    const noPain = item.sets.some((set) => set.painDuring === null);
    const what = t(noPain ? "session.missing.pain" : "session.missing.effort");
    return [{ path: `/${exercise}`, problem: t("session.missing", { what }) }];
  });
  if (draft.painBefore === null) {
    lines.unshift({ path: `/${t("session.painBefore")}`, problem: t("session.painBeforeMissing") });
  }
  const nothing = draft.items.every((item) => itemState(item) === "open");
  if (lines.length === 0 && !nothing) return null;
  return {
    type: "/problems/missing",
    title: nothing ? t("session.nothing") : t("session.look"),
    status: 0,
    problems: lines,
  };
}
