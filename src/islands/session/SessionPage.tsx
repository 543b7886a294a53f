import { useEffect, useState } from "react";
import { later } from "~/islands/frame/later";
import { FormProvider, useForm } from "react-hook-form";
import type { CaseSession } from "~/core/case/case-file";
import type { StairView } from "~/contract/episode";
import type { KeptSessionDraft } from "~/contract/daily";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTime, t } from "~/messages/say";
import { forgetDraft } from "./kept-draft";
import ItemWork from "./ItemWork";
import {
  correctingDraft,
  itemOf,
  itemState,
  newDraft,
  unplannedItem,
  withRecords,
  type SessionDraft,
} from "./session-draft";
import SessionRail from "./SessionRail";
import SessionStart from "./SessionStart";
import { useSessionDraft } from "./use-session-draft";
import { useSubmit } from "./use-submit";
import { useSignalNews } from "~/islands/patient/use-signal-news";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import { focusInstead, useShortcuts } from "~/islands/frame/use-shortcuts";

const loadSummary = () => import("./SessionSummary");
const SessionSummary = later(loadSummary);
const QuickLineInput = later(
  () => import("./QuickLineInput"),
  () => <div className="bg-base-100 border-base-300 rounded-box min-h-[3.9rem] border" />,
);
const UnplannedSearch = later(() => import("./UnplannedSearch"));
const Timers = later(
  () => import("./Timers"),
  () => <div className="bg-base-100 border-base-300 rounded-box min-h-64 border" />,
);

interface Props {
  stair: StairView;
  kept: KeptSessionDraft["draft"];
  /** The session to be corrected; null for a new one. */
  correcting: CaseSession | null;
}

/** Recording what was done, one exercise at a time: by taps or by the quick line; then what follows from it. */
function SessionPage({ stair: loaded, kept, correcting }: Props) {
  const [stair, setStair] = useState(loaded);
  const [current, setCurrent] = useState(0);
  const [recorded, setRecorded] = useState(false);
  /** What follows from what was recorded; null until it is read, or where it could not be. */
  const [after, setAfter] = useState<StairView | null>(null);
  const form = useForm<SessionDraft>({
    defaultValues: correcting ? correctingDraft(correcting, loaded) : newDraft(loaded),
  });
  const keeping = useSessionDraft(form, loaded, kept, correcting !== null);
  const done = () => {
    keeping.stop();
    forgetDraft(stair.episodeId);
    setRecorded(true);
    scrollTo({ top: 0 });
    void call("readStair", { id: stair.episodeId }).then((answer) => {
      if (answer.ok) setAfter(answer.value);
    });
  };
  const sending = useSubmit(form, stair, done);
  const drafts = form.watch("items");
  const entries = drafts.flatMap((draft, index) => {
    const item = itemOf(draft, stair);
    return item ? [{ draft, item, index }] : [];
  });
  const chosen = entries[Math.min(current, entries.length - 1)];
  const go = (to: number) => setCurrent(Math.min(entries.length - 1, Math.max(0, to)));

  // Comes while the session is filled in, so that it is there when the line is not.
  useEffect(() => {
    void loadSummary();
  }, []);

  useSignalNews(setStair);
  useShortcuts({ "/": (event) => focusInstead(event, document.getElementById("quick-line")) });

  if (recorded) {
    const notDone = entries.filter(({ draft }) => itemState(draft) === "open").map(({ item }) => item.name);
    return <SessionSummary episodeId={stair.episodeId} recorded={after} notDone={notDone} />;
  }
  const anew = () => {
    forgetDraft(stair.episodeId);
    form.reset(newDraft(stair));
  };
  return (
    <FormProvider {...form}>
      <form
        autoComplete="off"
        onSubmit={sending.submit}
        className="mx-auto flex max-w-7xl flex-col gap-3 px-4 py-3 pb-24"
        noValidate
      >
        <h2 className="sr-only">{t("session.title")}</h2>
        <ProblemNote
          problem={sending.problem}
          sayPath={sending.sayPath}
          onMeant={sending.busy ? undefined : sending.sendAsMeant}
        />
        {correcting && (
          <p className="alert alert-info alert-soft text-base-content">
            {t("session.correcting", { time: sayTime(correcting.at, stair.zone) })}
          </p>
        )}
        {keeping.resumed && (
          <div className="alert alert-info alert-soft text-base-content" data-testid="resumed">
            <p>
              {keeping.resumed.by
                ? t("session.resumed", {
                    by: keeping.resumed.by,
                    time: sayTime(keeping.resumed.savedAt, stair.zone),
                  })
                : t("session.restored")}
            </p>
            <button type="button" className="btn btn-sm" onClick={anew}>
              {t("session.anew")}
            </button>
          </div>
        )}
        <SessionStart stair={stair} />
        {/* In one hand the exercise comes before the line for keyboards and what stands outside the plan. */}
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[15rem_minmax(0,1fr)_13rem]">
          <div className="min-w-0 max-lg:contents">
            <SessionRail entries={entries} current={current} onChoose={go} />
            <div className="max-lg:order-4">
              <UnplannedSearch
                onAdd={(exercise, variantId) => {
                  form.setValue("items", [...drafts, unplannedItem(exercise, variantId, stair.involvedSide)]);
                  setCurrent(entries.length);
                }}
              />
            </div>
          </div>
          <div className="flex min-w-0 flex-col gap-3 max-lg:contents">
            <div className="max-lg:order-3">
              <QuickLineInput
                items={entries.map(({ item }) => item)}
                current={entries.findIndex((entry) => entry === chosen)}
                involved={stair.involvedSide}
                isNoted={(n) => entries[n] !== undefined && itemState(entries[n].draft) !== "open"}
                onPainBefore={(pain) => form.setValue("painBefore", pain)}
                onTake={(n, sets) => {
                  const entry = entries[n];
                  if (!entry) return;
                  form.setValue(`items.${entry.index}`, withRecords(entry.draft, sets));
                  const next = entries.findIndex(({ draft }, i) => i !== n && itemState(draft) === "open");
                  go(next < 0 ? n : next);
                }}
              />
            </div>
            {chosen && (
              <ItemWork key={chosen.draft.itemId} stair={stair} item={chosen.item} index={chosen.index} />
            )}
          </div>
          {chosen && <Timers key={chosen.draft.itemId} item={chosen.item} />}
        </div>
        <div className="bg-base-100 border-base-300 fixed inset-x-0 bottom-0 z-10 border-t">
          <div className="mx-auto flex max-w-7xl items-center gap-2 px-4 py-2">
            <span className="text-base-content/75 hidden text-sm sm:inline" data-testid="kept">
              {keeping.savedAt && t("session.kept", { time: sayTime(keeping.savedAt, stair.zone) })}
            </span>
            <button
              type="button"
              className="btn ml-auto"
              disabled={current >= entries.length - 1}
              onClick={() => go(current + 1)}
            >
              {t("session.next")}
            </button>
            <button className="btn btn-primary" disabled={sending.busy}>
              {sending.busy ? t("session.saving") : t("session.save")}
            </button>
          </div>
        </div>
      </form>
    </FormProvider>
  );
}

export default island(SessionPage, ({ stair }) => {
  forgetDraft(stair.episodeId);
  location.assign(`/episodes/${stair.episodeId}/session?anew=1`);
});
