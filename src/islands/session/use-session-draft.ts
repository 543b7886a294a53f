import { useEffect, useRef, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { KeptSessionDraft } from "~/contract/daily";
import type { StairView } from "~/contract/episode";
import { call } from "~/islands/frame/call";
import { draftToResume, keepDraft } from "./kept-draft";
import { resumedDraft, type SessionDraft } from "./session-draft";

const sendAfterMs = 1200;

export interface DraftKeeping {
  /** When the clinic's database last kept it. */
  readonly savedAt: string | null;
  /** Who began the session that is gone on with, and when; null for a new one. */
  readonly resumed: { by: string; savedAt: string } | null;
  /** No more saves: the session is being recorded. */
  readonly stop: () => void;
}

/** Takes up an unfinished session and keeps the present one: on the device at once, in the database a moment later. */
export function useSessionDraft(
  form: UseFormReturn<SessionDraft>,
  stair: StairView,
  kept: KeptSessionDraft["draft"],
  correcting: boolean,
): DraftKeeping {
  const [savedAt, setSavedAt] = useState<string | null>(null);
  const [resumed, setResumed] = useState<DraftKeeping["resumed"]>(null);
  const stopped = useRef(false);
  const { reset, subscribe } = form;

  useEffect(() => {
    if (correcting) return;
    const found = draftToResume(stair.episodeId, kept);
    let taken = found?.savedAt ?? null;
    if (found) {
      reset(resumedDraft(found.draft, stair));
      // oxlint-disable-next-line react/set-state-in-effect -- what a browser keeps is known only once the page is alive
      setResumed(kept ? { by: kept.by, savedAt: kept.savedAt } : { by: "", savedAt: "" });
    }
    let timer: ReturnType<typeof setTimeout> | undefined;
    let latest: SessionDraft | null = null;
    const send = async (draft: SessionDraft) => {
      const answer = await call(
        "keepSessionDraft",
        { id: stair.episodeId },
        { id: draft.id, body: { ...draft } },
      );
      if (!answer.ok || stopped.current) return;
      taken = answer.value.savedAt;
      keepDraft(stair.episodeId, latest ?? draft, taken);
      setSavedAt(taken);
    };
    const end = subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        if (stopped.current) return;
        latest = values;
        keepDraft(stair.episodeId, values, taken);
        clearTimeout(timer);
        timer = setTimeout(() => void (stopped.current ? undefined : send(values)), sendAfterMs);
      },
    });
    return () => {
      clearTimeout(timer);
      end();
    };
  }, [correcting, kept, reset, stair, subscribe]);

  return { savedAt, resumed, stop: () => (stopped.current = true) };
}
