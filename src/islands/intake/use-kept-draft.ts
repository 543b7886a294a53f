import { useEffect, useState } from "react";
import type { UseFormReturn } from "react-hook-form";
import { call } from "~/islands/frame/call";
import { t } from "~/messages/say";
import type { IntakeFields } from "./intake-fields";

const pauseMs = 800;
const againMs = 5_000;

/** Whether what stands in the form is kept: when it was last, and whether something since is not. */
export interface KeptDraft {
  readonly savedAt: string | null;
  /** It could not be kept, and is tried again. */
  readonly failing: boolean;
  /** Why, in words, where the clinic's server answered and refused. */
  readonly refusal: string | null;
}

/** Keeps an intake as it is typed, for another device to go on with; what could not be kept is tried again until it is. */
export function useKeptDraft({ watch, getValues }: UseFormReturn<IntakeFields>, id: string): KeptDraft {
  const [kept, setKept] = useState<KeptDraft>({ savedAt: null, failing: false, refusal: null });
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    let turn = 0;
    const keep = async () => {
      turn += 1;
      const own = turn;
      const fields = getValues();
      const label = `${fields.givenName} ${fields.familyName}`.trim() || t("intake.nameless");
      const saved = await call("keepIntakeDraft", {}, { id, label, body: { ...fields } });
      // Something was typed meanwhile: that is kept next, and says how it went.
      if (own !== turn) return;
      if (saved.ok) return setKept({ savedAt: saved.value.savedAt, failing: false, refusal: null });
      const { status, title } = saved.problem;
      const refusal = status === 409 ? title : null;
      setKept((before) => ({ ...before, failing: true, refusal }));
      timer = setTimeout(() => void keep(), againMs);
    };
    const watching = watch(() => {
      clearTimeout(timer);
      turn += 1;
      timer = setTimeout(() => void keep(), pauseMs);
    });
    return () => {
      turn += 1;
      clearTimeout(timer);
      watching.unsubscribe();
    };
  }, [watch, getValues, id]);
  return kept;
}
