import type { Measure } from "~/core/measure/measure";
import type { MeasureStatus, SideStatus } from "~/core/measure/measure-status";
import type { InvolvedSide } from "~/core/measure/side-value";
import { typedSymmetry } from "~/core/measure/typed-symmetry";
import { label, sayDate, sayNumber, sayQuantity, t } from "~/messages/say";
import type { Side, SideReading } from "./entry-draft";

interface Props {
  measure: Measure;
  readings: ReadonlyMap<Side, SideReading>;
  status: MeasureStatus | null;
  involvedSide: InvolvedSide;
}

/** How the typed values read: symmetry at once, beside the early reference; else where the measure stood last. */
export default function RowReading({ measure, readings, status, involvedSide }: Props) {
  const typedAny = [...readings.values()].some((reading) => reading.value !== null);
  return (
    <div data-testid={`reading-${measure.code}`}>
      {typedAny ? <Live measure={measure} readings={readings} involvedSide={involvedSide} /> : null}
      {!typedAny && status?.lsiPercent !== null && status !== null && measure.sides === "each" && (
        <p className="font-semibold">{t("measures.lsi", { percent: sayNumber(status.lsiPercent) })}</p>
      )}
      {status?.early && (
        <p>
          {t("measures.early", {
            percent: sayNumber(status.early.percent),
            kind: t(`early.${status.early.kind}`),
          })}
        </p>
      )}
      {status && <LastValues measure={measure} status={status} readings={readings} />}
    </div>
  );
}

function Live({ measure, readings, involvedSide }: Omit<Props, "status">) {
  const at = (side: Side) => readings.get(side)?.value ?? null;
  const values = { left: at("left"), right: at("right"), none: at("none") };
  const reading = typedSymmetry(measure, values, involvedSide);
  switch (reading.kind) {
    case "nothing":
      return null;
    case "value":
      return <p className="font-semibold">{sayValue(reading.value, measure)}</p>;
    case "index":
      return (
        <p className="text-base font-semibold">
          {t("measures.lsi", { percent: sayNumber(reading.lsiPercent) })}
        </p>
      );
    case "both-sides-injured":
      return <p>{t("note.both-sides-injured")}</p>;
    default:
      return <p className="text-warning">{t(`note.${reading.kind}`)}</p>;
  }
}

/** Where each side stood last, and how what is typed differs from that. */
function LastValues({
  measure,
  status,
  readings,
}: Pick<Props, "measure" | "readings"> & { status: MeasureStatus }) {
  const taken = (["left", "right", "none"] as const).flatMap((side) => {
    const at = status[side];
    return at ? [{ side, at }] : [];
  });
  return (
    <p className="text-base-content/75">
      {taken.map(({ side, at }, n) => (
        <span key={side}>
          {n > 0 && " · "}
          {side === "none" ? "" : `${label("side", side)} `}
          {sayValue(at.value, measure)}
          <Change typed={readings.get(side)?.value ?? null} at={at} />
          {taken[n + 1]?.at.takenOn !== at.takenOn && ` (${sayDate(at.takenOn)})`}
        </span>
      ))}
    </p>
  );
}

function Change({ typed, at }: { typed: number | null; at: SideStatus }) {
  const change = typed === null ? 0 : typed - at.value;
  if (change === 0) return null;
  const beyond = at.mdc95 === null ? null : Math.abs(change) > at.mdc95;
  return (
    <strong className="text-base-content">
      {" "}
      {change > 0 ? "+" : "−"}
      {sayNumber(Math.abs(change))}
      {beyond === null ? "" : ` ${t(beyond ? "measures.real" : "measures.withinError")}`}
    </strong>
  );
}

function sayValue(value: number, measure: Measure): string {
  const grade = measure.grades?.[value];
  return grade ?? sayQuantity(value, measure.unit);
}
