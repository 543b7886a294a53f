import { Camera, ChartLine, Gauge, X, type LucideIcon } from "lucide-react";
import type { Measure } from "~/core/measure/measure";
import { limitKinds } from "~/core/measure/measure";
import type { MeasureStatus } from "~/core/measure/measure-status";
import type { InvolvedSide } from "~/core/measure/side-value";
import { label, t } from "~/messages/say";
import BodyOutline from "./BodyOutline";
import RowReading from "./RowReading";
import TrialCells from "./TrialCells";
import { readSide, sidesOfMeasure, type RowEntry, type Side } from "./entry-draft";

interface Props {
  measure: Measure;
  row: RowEntry;
  status: MeasureStatus | null;
  involvedSide: InvolvedSide;
  /** Words of a limit in force that forbids to take it now; null when none does. */
  barredBy: string | null;
  onTyped: (side: Side, trial: number, text: string) => void;
  onRow: (row: RowEntry) => void;
  onRemove: (() => void) | undefined;
  onTrend: (() => void) | undefined;
  /** Absent where no device takes it. */
  onTake: (() => void) | undefined;
  /** Absent where no picture tells it. */
  onStill: (() => void) | undefined;
}

/** A unit that stands without a number: a lone ring says nothing. */
const unitAlone = (unit: string) =>
  unit === "deg" ? t("measures.degrees") : label("unit", unit) || t("measures.count");

/** One measure of the visit: its trials on both sides, how it was taken, and how it reads at once. */
export default function EntryRow({
  measure,
  row,
  status,
  involvedSide,
  barredBy,
  onTyped,
  onRow,
  onRemove,
  onTrend,
  onTake,
  onStill,
}: Props) {
  const sides = sidesOfMeasure(measure);
  const readings = new Map(sides.map((side) => [side, readSide(measure, row, side)]));
  const unusual = [...readings.values()].some((reading) => reading.unusual);
  const cells = (side: Side) => (
    <TrialCells
      measure={measure}
      row={row}
      side={side}
      reading={readings.get(side) ?? readSide(measure, row, side)}
      onTyped={(trial, text) => onTyped(side, trial, text)}
    />
  );
  // Which side a card's cell is, where no head of the table says it.
  const narrowHead = (side: "left" | "right") => (
    <span aria-hidden className="mb-1 block text-sm font-medium sm:hidden">
      {t(`side.${side}`)}
      {(involvedSide === side || involvedSide === "both") && ` · ${t("measures.injured")}`}
    </span>
  );
  const changeSide = (side: Side, more: object) =>
    onRow({ ...row, sides: { ...row.sides, [side]: { trials: [], ...row.sides[side], ...more } } });
  const lastWay = status?.left?.way ?? status?.right?.way ?? status?.none?.way ?? null;

  return (
    <>
      <tr
        role="row"
        className="border-base-300 border-t align-top max-sm:relative max-sm:grid max-sm:grid-cols-2"
        data-testid={`row-${measure.code}`}
      >
        <th
          scope="row"
          role="rowheader"
          className="max-w-56 px-3 py-2 text-left font-normal max-sm:col-span-2 max-sm:max-w-none max-sm:pr-12"
        >
          {onTrend ? (
            <button
              type="button"
              className="flex min-h-11 items-start gap-1 text-left font-semibold"
              onClick={onTrend}
            >
              {measure.name}
              <ChartLine className="mt-0.5 size-4 shrink-0" aria-label={t("measures.trend")} />
            </button>
          ) : (
            <span className="block font-semibold">{measure.name}</span>
          )}
          {measure.entryUnits && measure.entryUnits.length > 1 ? (
            <select
              className="select mt-1 w-24"
              aria-label={t("measures.unitOf", { name: measure.name })}
              value={row.unit}

              onChange={(event) => onRow({ ...row, unit: event.target.value })}
            >
              {measure.entryUnits.map(({ unit }) => (
                <option key={unit} value={unit}>
                  {label("unit", unit)}
                </option>
              ))}
            </select>
          ) : (
            <span className="text-base-content/75 text-sm">
              {measure.grades ? t("measures.grade") : unitAlone(row.unit)}
            </span>
          )}
          {onTake && (
            <TakeButton icon={Gauge} says={t("measures.takeIt")} name={measure.name} onTake={onTake} />
          )}
          {onStill && (
            <TakeButton icon={Camera} says={t("measures.fromPicture")} name={measure.name} onTake={onStill} />
          )}
          {unusual && (
            <label className="mt-1 flex min-h-8 items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={row.meant}
                onChange={(event) => onRow({ ...row, meant: event.target.checked })}
              />
              <span className="text-warning font-medium">{t("measures.meant")}</span>
            </label>
          )}
          {measure.group === "strength" && (
            <label className="mt-1 flex min-h-8 items-center gap-2 text-sm font-normal">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={row.submaximal === true}
                onChange={(event) => onRow({ ...row, submaximal: event.target.checked })}
              />
              {t("measures.submaximal")}
            </label>
          )}
          {barredBy !== null && (
            <p className="text-warning mt-1 text-sm font-medium">
              {t("measures.barred", { says: barredBy })}
            </p>
          )}
        </th>
        {measure.sides === "none" ? (
          <td role="cell" colSpan={2} className="px-2 py-2 max-sm:col-span-2">
            {measure.code === "pain-drawing" ? (
              <BodyOutline
                marks={row.sides.none?.marks ?? []}
                onMarks={(marks) => changeSide("none", { marks, trials: [String(marks.length)] })}
              />
            ) : (
              cells("none")
            )}
          </td>
        ) : (
          <>
            <td role="cell" className="px-2 py-2">
              {narrowHead("left")}
              {cells("left")}
            </td>
            <td role="cell" className="px-2 py-2">
              {narrowHead("right")}
              {cells("right")}
            </td>
          </>
        )}
        <td role="cell" className="px-2 py-2 text-sm max-sm:col-span-2 max-sm:px-3">
          <RowReading measure={measure} readings={readings} status={status} involvedSide={involvedSide} />
          {measure.group === "limits" &&
            sides.map((side) => (
              <select
                key={side}
                className="select mt-1 w-full"
                aria-label={t("measures.limitOf", { name: measure.name, side: label("side", side) })}
                value={row.sides[side]?.limit ?? "none"}
                onChange={(event) => changeSide(side, { limit: event.target.value })}
              >
                {limitKinds.map((kind) => (
                  <option key={kind} value={kind}>
                    {t(`limit.${kind}`)}
                  </option>
                ))}
              </select>
            ))}
        </td>
        <td role="cell" className="py-2 pr-2 max-sm:absolute max-sm:top-0 max-sm:right-0">
          {onRemove && (
            <button
              type="button"
              className="btn btn-ghost btn-square"
              aria-label={t("measures.removeOf", { name: measure.name })}
              onClick={onRemove}
            >
              <X className="size-5" aria-hidden />
            </button>
          )}
        </td>
      </tr>
      {measure.ways && (
        <tr role="row" className="align-top max-sm:block">
          <td role="cell" className="max-sm:hidden" />
          <td role="cell" colSpan={3} className="px-2 pb-2 text-sm max-sm:block max-sm:px-3">
            <select
              className="select w-full max-w-xl"
              aria-label={t("measures.wayOf", { name: measure.name })}
              value={row.way}
              onChange={(event) => onRow({ ...row, way: event.target.value })}
            >
              {measure.ways.map((way) => (
                <option key={way}>{way}</option>
              ))}
            </select>
            {lastWay !== null && row.way !== "" && lastWay !== row.way && (
              <p className="text-warning mt-1">{t("measures.wayChanged", { way: lastWay })}</p>
            )}
          </td>
          <td role="cell" className="max-sm:hidden" />
        </tr>
      )}
    </>
  );
}

interface TakeProps {
  icon: LucideIcon;
  says: string;
  /** Of the measure, for whoever cannot see whose row it is. */
  name: string;
  onTake: () => void;
}

/** Another way than typing to take a measure. */
function TakeButton({ icon: Icon, says, name, onTake }: TakeProps) {
  return (
    <button type="button" className="btn btn-sm mt-1 min-h-11 sm:min-h-8" onClick={onTake}>
      <Icon className="size-4" aria-hidden />
      {says}
      <span className="sr-only">: {name}</span>
    </button>
  );
}
