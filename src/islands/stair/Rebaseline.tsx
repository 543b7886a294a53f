import { useState } from "react";
import type { StairView } from "~/contract/episode";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { isReason } from "~/islands/frame/reason-rules";
import { t } from "~/messages/say";
import { useSignEach } from "./use-sign-each";

interface Props {
  stair: StairView;
  onSigned: (next: StairView) => void;
}

/** Measured again: the plan goes on from here, signed once for every exercise that was away. */
export default function Rebaseline({ stair, onSigned }: Props) {
  const [reason, setReason] = useState("");
  const [tried, setTried] = useState(false);
  const { sign, busy, problem } = useSignEach(stair);
  const away = stair.items.filter(({ proposal }) => proposal.rule === "rebaseline");
  if (away.length === 0) return null;
  const submit = async (event: React.FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    setTried(true);
    if (!isReason(reason)) return event.currentTarget.querySelector("textarea")?.focus();
    const { now } = await sign(away, { action: "refuse", reason: reason.trim() });
    onSigned(now);
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="mt-2 flex flex-col gap-2">
      <ProblemNote problem={problem} />
      <ReasonField
        label={t("rebaseline.reason")}
        field={{ value: reason, onChange: (event) => setReason(event.target.value) }}
        invalid={tried && !isReason(reason)}
      />
      <button className="btn btn-primary self-start" disabled={busy}>
        {t("rebaseline.submit", { count: away.length })}
      </button>
    </form>
  );
}
