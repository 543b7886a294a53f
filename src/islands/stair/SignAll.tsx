import { useState } from "react";
import type { StairView } from "~/contract/episode";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import { signable } from "./by-urgency";
import { useSignEach } from "./use-sign-each";

interface Props {
  stair: StairView;
  onSigned: (next: StairView) => void;
}

/** Signs every proposal as it stands, one after the other; stops and says so as soon as the record has changed. */
export default function SignAll({ stair, onSigned }: Props) {
  const [said, setSaid] = useState("");
  const { sign, busy, problem } = useSignEach(stair);
  const open = signable(stair);
  const signAll = async () => {
    const { done, now } = await sign(open, { action: "accept" });
    setSaid(
      done === open.length
        ? t("sign.allDone", { count: done })
        : t("sign.allStopped", { done, count: open.length }),
    );
    onSigned(now);
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
