import { useState } from "react";
import type { PersonView } from "~/contract/people";
import { episodeTurns, mayTurn, type EpisodeTurn } from "~/core/episode/episode-turn";
import ReasonForm from "~/islands/frame/ReasonForm";
import { sayTime, t } from "~/messages/say";

interface Props {
  view: PersonView;
  onSigned: () => void;
}

/** How this episode stands; its discharge with a summary, a pause, and the end of either, each with its reason. */
export default function StandingBox({ view: { episodeId, state, turns, zone, maySign }, onSigned }: Props) {
  const [turn, setTurn] = useState<EpisodeTurn | null>(null);
  const [summary, setSummary] = useState("");
  const words = summary.trim();
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="standing">
      <h3 className="text-lg font-semibold">
        {t("person.standing")}: {t(`person.state.${state}`)}
      </h3>
      <p className="text-base-content/80 text-sm">{t(`person.stateMeans.${state}`)}</p>
      {maySign && turn === null && (
        <div className="mt-2 flex flex-wrap gap-2">
          {episodeTurns
            .filter((kind) => mayTurn(state, kind))
            .map((kind) => (
              <button
                key={kind}
                type="button"
                className={`btn ${kind === "resume" || kind === "reopen" ? "btn-primary" : "bg-base-100 border-base-300"}`}
                onClick={() => setTurn(kind)}
              >
                {t(`person.turn.${kind}`)}
              </button>
            ))}
        </div>
      )}
      {turn !== null && (
        <ReasonForm
          write="turnEpisode"
          values={{ id: episodeId }}
          about={`${turn} ${turns.length}`}
          body={(reason) => ({
            kind: turn,
            reason,
            ...(turn === "discharge" && words !== "" ? { summary: words } : {}),
          })}
          label={t(`person.turnReason.${turn}`)}
          submit={t(`person.turnSign.${turn}`)}
          onDone={() => {
            setTurn(null);
            setSummary("");
            onSigned();
          }}
          onCancel={() => setTurn(null)}
        >
          {turn === "discharge" && (
            <label className="flex flex-col gap-1 text-sm font-medium">
              {t("person.summary")}
              <textarea
                className="textarea w-full"
                rows={4}
                maxLength={4000}
                value={summary}
                onChange={(event) => setSummary(event.target.value)}
              />
            </label>
          )}
        </ReasonForm>
      )}
      {turns.length > 0 && (
        <ol className="mt-2" data-testid="turns">
          {turns.map(({ id, at, by, kind, reason, summary: said }) => (
            <li key={id} className="border-base-300 border-t py-1 text-sm">
              <span className="font-medium">{t(`person.turned.${kind}`)}</span> · {sayTime(at, zone)}, {by} ·
              “{reason}”{said && <span className="mt-1 block whitespace-pre-line">{said}</span>}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
