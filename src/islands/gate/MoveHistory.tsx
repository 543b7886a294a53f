import type { GateView } from "~/contract/gate";
import { sayTime, t } from "~/messages/say";

/** How the patient came to stand here, newest first; a gate that was passed over stays named. */
export default function MoveHistory({ view }: { view: GateView }) {
  return (
    <section className="mt-4" data-testid="moves">
      <h2 className="font-semibold">{t("gate.moves")}</h2>
      <ul className="text-sm">
        {view.moves.map((move) => (
          <li key={move.at + move.stageName} className="border-base-300 border-b py-1">
            <span className={move.kind === "override" ? "text-error font-semibold" : "font-medium"}>
              {t(`move.${move.kind}`, { stage: move.stageName })}
            </span>{" "}
            <span className="text-base-content/80">
              {sayTime(move.at, view.zone)}, {move.by}: {move.reason}
              {move.kind === "override" &&
                move.unmet.length > 0 &&
                `. ${t("gate.unmet", { names: move.unmet.join(", ") })}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
