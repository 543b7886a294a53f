import { useState } from "react";
import type { GateView } from "~/contract/gate";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

interface Props {
  view: GateView;
  onSet: (now: GateView) => void;
}

/** How this patient's gates are passed: by the measured value, or only when its error allows no doubt. */
export default function PassingBox({ view, onSet }: Props) {
  const inForce = view.gate?.passing ?? "point";
  const other = inForce === "point" ? ("confident" as const) : ("point" as const);
  const [changing, setChanging] = useState(false);
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="passing">
      <h2 className="font-semibold">{t("gate.passing")}</h2>
      <p className="text-sm">{t(`passing.${inForce}`)}</p>
      {view.maySign && !changing && (
        <button type="button" className="btn mt-2" onClick={() => setChanging(true)}>
          {t("gate.passingChange", { to: t(`passing.name.${other}`) })}
        </button>
      )}
      {changing && (
        <ReasonForm
          write="setPassing"
          values={{ id: view.episodeId }}
          body={(reason) => ({ passing: other, reason })}
          about={other}
          label={t("sign.reason")}
          submit={t("gate.passingSet")}
          onDone={({ gate }) => {
            setChanging(false);
            onSet(gate);
          }}
          onCancel={() => setChanging(false)}
        />
      )}
    </section>
  );
}
