import { useEffect, useState } from "react";
import type { StairView } from "~/contract/episode";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";

const minuteMs = 60_000;

interface Props {
  episodeId: string;
  signalId: string;
  onChange: (next: StairView) => void;
}

/** A signal raised by a slip of the finger is taken back in one tap, for a minute; both stay in the record. */
export default function TakeBack({ episodeId, signalId, onChange }: Props) {
  const [isOver, setIsOver] = useState(false);
  const { send, busy, problem } = useWrite("takeBackSignal", { id: episodeId });
  useEffect(() => {
    const timer = setTimeout(() => setIsOver(true), minuteMs);
    return () => clearTimeout(timer);
  }, []);
  if (isOver) return null;
  const takeBack = async () => {
    const written = await send({ signalId }, signalId);
    if (written) onChange(written.stair);
  };
  return (
    <>
      <ProblemNote problem={problem} />
      <button type="button" className="btn" disabled={busy} onClick={() => void takeBack()}>
        {t("signals.takeBack")}
      </button>
    </>
  );
}
