import type { PlanView } from "~/contract/plan";
import { usualItems, type ComposedList, type ListItem } from "~/core/intake/compose-list";
import FigureThumb from "~/islands/figure/FigureThumb";
import { sayDose } from "~/messages/say-dose";
import { label, sayNumber, t } from "~/messages/say";

interface Props {
  plan: PlanView;
  list: ComposedList;
  chosen: readonly ListItem[];
  /** How many more a plan holds. */
  room: number;
  onOut: (item: ListItem) => void;
  onIn: (item: ListItem) => void;
}

/** The composed list: what is in it and why, what may come in when one goes out, and what it leaves out. */
export default function ComposedRows({ plan, list, chosen, room, onOut, onIn }: Props) {
  const minutes = chosen.reduce((sum, item) => sum + item.minutes, 0) + Math.max(0, chosen.length - 1) / 2;
  const others = [...list.items, ...list.spare].filter(
    (item) => !chosen.some(({ exerciseId }) => exerciseId === item.exerciseId),
  );
  const isFull = chosen.length >= room;
  return (
    <div className="mt-3">
      <p className="font-semibold" role="status" data-testid="composed-sum">
        {t("compose.sum", { items: chosen.length, minutes: sayNumber(Math.round(minutes)) })}
        {chosen.length > usualItems && ` · ${t("compose.many")}`}
      </p>
      <ul className="divide-base-300 divide-y" data-testid="composed">
        {chosen.map((item) => (
          <Row key={item.exerciseId} plan={plan} item={item} moves="out" onMove={onOut} />
        ))}
      </ul>
      {others.length > 0 && (
        <>
          <p className="mt-2 font-semibold">{isFull ? t("compose.full") : t("compose.others")}</p>
          <ul className="divide-base-300 divide-y" data-testid="composed-spare">
            {others.map((item) => (
              <Row
                key={item.exerciseId}
                plan={plan}
                item={item}
                moves="in"
                isDisabled={isFull}
                onMove={onIn}
              />
            ))}
          </ul>
        </>
      )}
      {list.left.length > 0 && (
        <ul className="text-warning mt-2 text-sm font-medium" data-testid="composed-left">
          {list.left.map(({ lane, why }) => (
            <li key={lane}>{t(`compose.left.${why}`, { lane: label("lane", lane) })}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

function sayReason(code: string): string {
  const what = label("compose.need", code);
  return code.startsWith("hurt-") ? t("compose.hurtBefore", { what }) : what;
}

interface RowProps {
  readonly plan: PlanView;
  readonly item: ListItem;
  /** Where the button takes the exercise: into the list or out of it. */
  readonly moves: "in" | "out";
  readonly isDisabled?: boolean;
  readonly onMove: (item: ListItem) => void;
}

function Row({ plan, item, moves, isDisabled = false, onMove }: RowProps) {
  return (
    <li className="grid grid-cols-[3.5rem_1fr_auto] items-center gap-x-3 py-1">
      <FigureThumb
        exercise={{ id: item.exerciseId, lane: item.lane }}
        prescription={item.prescription}
        heightM={plan.heightM}
        side={plan.involvedSide}
        className="size-14"
      />
      <div className="min-w-0">
        <p className="leading-tight font-semibold">
          {item.exerciseName}
          <span className="badge badge-sm badge-outline ml-2">
            {t(item.role === "main" ? "compose.must" : "compose.may")}
          </span>
        </p>
        <p className="text-sm">
          {item.variantName} · <span className="inline-block">{sayDose(item.prescription, null)} ·</span>{" "}
          <span className="inline-block">
            {t("plan.minutes", { minutes: sayNumber(Math.round(item.minutes * 10) / 10) })}
          </span>
        </p>
        <p className="text-base-content/75 text-sm">
          {t("compose.because", {
            reasons: item.reasons.map(sayReason).join(", "),
          })}
        </p>
      </div>
      <button
        type="button"
        className="btn"
        disabled={isDisabled}
        aria-label={t(`compose.${moves}Of`, { exercise: item.exerciseName })}
        onClick={() => onMove(item)}
      >
        {t(`compose.${moves}`)}
      </button>
    </li>
  );
}
