import { useEffect, useState } from "react";
import type { CaseloadRow } from "~/contract/clinic";
import type { StairView } from "~/contract/episode";
import { call } from "~/islands/frame/call";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import ItemList from "~/islands/stair/ItemList";
import SignalBanner from "~/islands/patient/SignalBanner";
import { byUrgency, signable } from "~/islands/stair/by-urgency";
import { t } from "~/messages/say";
import { useShortcuts } from "~/islands/frame/use-shortcuts";

interface Props {
  rows: readonly CaseloadRow[];
  at: number;
  onMove: (at: number) => void;
  onClose: () => void;
}

/** One person after the other, by keys: what is proposed and why, signed here without leaving the list. */
export default function ReviewPane({ rows, at, onMove, onClose }: Props) {
  const row = rows[at];
  const episodeId = row?.episodeId;
  const [loaded, setStair] = useState<StairView | null>(null);
  const stair = loaded?.episodeId === episodeId ? loaded : null;
  const [chosen, setChosen] = useState<string | null>(null);
  const { send, problem, setProblem } = useWrite("signDecision", { id: episodeId ?? "" });

  useEffect(() => {
    let current = true;
    if (!episodeId) return;
    void call("readStair", { id: episodeId }).then((answer) => {
      if (!current) return;
      setProblem(answer.ok ? null : answer.problem);
      if (!answer.ok) return;
      setStair(answer.value);
      setChosen(byUrgency(answer.value.items)[0]?.itemId ?? null);
    });
    return () => {
      current = false;
    };
  }, [episodeId, setProblem]);

  const accept = async (present: StairView) => {
    const [first] = signable(present);
    if (!first || !present.maySign) return;
    const { itemId } = first;
    const expectedVersion = present.version;
    const written = await send({ itemId, expectedVersion, action: "accept" }, `${itemId} ${expectedVersion}`);
    if (!written) return;
    setStair(written.stair);
    setChosen(byUrgency(written.stair.items)[0]?.itemId ?? null);
  };
  useShortcuts({
    j: () => onMove(Math.min(rows.length - 1, at + 1)),
    k: () => onMove(Math.max(0, at - 1)),
    a: () => void (stair && accept(stair)),
    Enter: () => episodeId && location.assign(`/episodes/${episodeId}`),
    Escape: onClose,
  });

  if (!row) return null;
  return (
    <section
      className="bg-base-200 border-base-300 rounded-box flex flex-col gap-2 border p-3"
      aria-label={t("review.title")}
      data-testid="review"
    >
      <div className="flex flex-wrap items-center gap-2">
        <div className="min-w-0">
          <h2 className="text-lg leading-tight font-semibold">
            {row.person.givenName} {row.person.familyName}{" "}
            <span className="text-base-content/75 text-sm font-normal">
              {t("review.of", { at: at + 1, count: rows.length })}
            </span>
          </h2>
          <p className="text-base-content/80 text-sm">
            {row.person.activity} · <strong>{t(`side.${row.involvedSide}`)}</strong> · {row.diagnosis}
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-1">
          <button
            type="button"
            className="btn bg-base-100"
            disabled={at === 0}
            onClick={() => onMove(at - 1)}
          >
            {t("review.previous")}
          </button>
          <button
            type="button"
            className="btn bg-base-100"
            disabled={at >= rows.length - 1}
            onClick={() => onMove(at + 1)}
          >
            {t("review.next")}
          </button>
          <a className="btn bg-base-100" href={`/episodes/${row.episodeId}`}>
            {t("review.open")}
          </a>
          <button type="button" className="btn" onClick={onClose}>
            {t("review.end")}
          </button>
        </div>
      </div>
      <p className="text-base-content/75 hidden text-xs md:block">{t("review.keys")}</p>
      <ProblemNote problem={problem} />
      {!stair && !problem && <p role="status">{t("review.loading")}</p>}
      {stair && (
        <>
          <SignalBanner stair={stair} onChange={setStair} />
          <ItemList
            stair={stair}
            signable
            selected={chosen}
            onSelect={setChosen}
            onSigned={(next) => {
              setStair(next);
              setChosen(byUrgency(next.items)[0]?.itemId ?? null);
            }}
            onStale={setStair}
          />
        </>
      )}
    </section>
  );
}
