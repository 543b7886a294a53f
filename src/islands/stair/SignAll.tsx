import { useRef, useState } from "react";
import type { StairView } from "~/contract/episode";
import { useWrite } from "~/islands/frame/use-write";
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
  const now = useRef<StairView | null>(null);
  const { send, problem, setProblem } = useWrite("signDecision", { id: stair.episodeId }, (stale) => {
    now.current = stale.stair;
  });
  const open = signable(stair);
  const signAll = async () => {
    setBusy(true);
    now.current = null;
    let present = stair;
    let done = 0;
    for (const { itemId, proposal } of open) {
      const standing = present.items.find((item) => item.itemId === itemId)?.proposal;
      const same =
        standing?.outcome === proposal.outcome &&
        JSON.stringify(standing.change) === JSON.stringify(proposal.change);
      if (!same) break;
      const expectedVersion = present.version;
      const written = await send(
        { itemId, expectedVersion, action: "accept" },
        `${itemId} ${expectedVersion}`,
      );
      if (!written) break;
      present = written.stair;
      done += 1;
    }
    setBusy(false);
    // A record that changed meanwhile is shown as it stands, and said in the count; it is no problem of the sender's.
    if (now.current) setProblem(null);
    setSaid(
      done === open.length
        ? t("sign.allDone", { count: done })
        : t("sign.allStopped", { done, count: open.length }),
    );
    onSigned(now.current ?? present);
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
