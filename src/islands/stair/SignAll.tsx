import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { DecisionBody } from "~/contract/daily";
import type { Problem } from "~/contract/problem";
import type { StairView, Written } from "~/contract/episode";
import { callApi } from "~/islands/frame/call-api";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import { signable } from "./by-urgency";

interface Props {
  stair: StairView;
  onSigned: (next: StairView) => void;
}

/** Signs every proposal as it stands, one after the other; stops and says so as soon as the record has changed. */
export default function SignAll({ stair, onSigned }: Props) {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);
  const open = signable(stair);
  const signAll = async () => {
    setBusy(true);
    setProblem(null);
    let present = stair;
    let done = 0;
    for (const { itemId, proposal } of open) {
      const now = present.items.find((item) => item.itemId === itemId)?.proposal;
      const same =
        now?.outcome === proposal.outcome && JSON.stringify(now.change) === JSON.stringify(proposal.change);
      if (!same) break;
      const body: DecisionBody = { id: uuid(), itemId, expectedVersion: present.version, action: "accept" };
      const answer = await callApi<Written>(`/api/episodes/${stair.episodeId}/decisions`, body);
      if (!answer.ok) {
        const changed = answer.problem.changed as { stair?: StairView } | undefined;
        present = changed?.stair ?? present;
        if (answer.problem.status !== 409) setProblem(answer.problem);
        break;
      }
      present = answer.value.stair;
      done += 1;
    }
    setBusy(false);
    setSaid(
      done === open.length
        ? t("sign.allDone", { count: done })
        : t("sign.allStopped", { done, count: open.length }),
    );
    onSigned(present);
  };
  return (
    <div className="ml-auto flex flex-wrap items-center gap-2">
      <p role="status" className="text-sm">
        {said}
      </p>
      {open.length > 1 && (
        <button
          type="button"
          className="btn btn-primary btn-sm min-h-11"
          disabled={busy}
          onClick={() => void signAll()}
        >
          {t("sign.all", { count: open.length })}
        </button>
      )}
      <ProblemNote problem={problem} />
    </div>
  );
}
