import { useState } from "react";
import type { StairView } from "~/contract/episode";
import { useSignalNews } from "~/islands/patient/use-signal-news";
import ItemList from "~/islands/stair/ItemList";
import { byUrgency } from "~/islands/stair/by-urgency";
import { t } from "~/messages/say";

interface Props {
  episodeId: string;
  /** The stair as it stands after what was recorded; null until it has come. */
  recorded: StairView | null;
  /** Names of the planned exercises that were left out today. */
  notDone: readonly string[];
}

/** What follows from the session just recorded: every proposal, to be signed one by one or all at once. */
export default function SessionSummary({ episodeId, recorded, notDone }: Props) {
  return (
    <div className="mx-auto flex max-w-3xl flex-col gap-3 px-4 py-4" data-testid="session-summary">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-xl font-bold">{t("session.recorded")}</h2>
        <a className="btn btn-primary ml-auto" href={`/episodes/${episodeId}`}>
          {t("session.toStair")}
        </a>
      </div>
      {notDone.length > 0 && <p>{t("session.notDone", { names: notDone.join(", ") })}</p>}
      {recorded && <Proposals recorded={recorded} />}
    </div>
  );
}

function Proposals({ recorded }: { recorded: StairView }) {
  const [stair, setStair] = useState(recorded);
  const [item, setItem] = useState<string | null>(byUrgency(recorded.items)[0]?.itemId ?? null);
  useSignalNews(setStair);
  return (
    <ItemList
      stair={stair}
      signable
      selected={item}
      onSelect={setItem}
      onSigned={setStair}
      onStale={setStair}
    />
  );
}
