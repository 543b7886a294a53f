import { useState } from "react";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import LoadsFields, { asTyped, loadable, type TypedLoads } from "~/islands/shelf/LoadsFields";
import { t } from "~/messages/say";

interface Props {
  /** Kit that is to hand. */
  kit: readonly string[];
  typed: TypedLoads;
  onTyped: (typed: TypedLoads) => void;
}

/** The weights that somebody has where they train: they decide the steps a load can take. */
export default function WeightsAtHand({ kit, typed, onTyped }: Props) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const asked = loadable.filter(({ code }) => kit.includes(code));
  if (asked.length === 0) return null;
  const asClinic = async () => {
    const found = await call("readShelf", {});
    setProblem(found.ok ? null : found.problem);
    if (found.ok) onTyped(asTyped(found.value.shelf.loadsKg));
  };
  return (
    <details className="col-span-2" data-testid="weights-at-hand">
      <summary className="min-h-11 cursor-pointer py-2 text-sm font-medium">{t("shelf.home")}</summary>
      <p className="text-base-content/80 pb-2 text-sm">{t("shelf.homeHelp")}</p>
      <ProblemNote problem={problem} />
      <LoadsFields typed={typed} onTyped={onTyped} kit={kit} />
      <button type="button" className="btn mt-2" onClick={() => void asClinic()}>
        {t("shelf.asClinic")}
      </button>
    </details>
  );
}
