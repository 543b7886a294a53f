import { useDraggable, useDroppable } from "@dnd-kit/core";
import { Check, Lock } from "lucide-react";
import type { WeekDayBody, WeekPiece } from "~/contract/week";
import FigureThumb from "~/islands/figure/FigureThumb";
import { dayPlaces, type DayPlace } from "~/core/week/day-places";
import type { Placed } from "~/core/week/week";
import type { InvolvedSide } from "~/core/measure/side-value";
import { workingSide } from "~/core/case/working-side";
import { sayDate, sayNumber, t } from "~/messages/say";

export interface Card {
  readonly piece: WeekPiece;
  readonly minutes: number;
  readonly locked: boolean;
  readonly done: boolean;
  readonly broken: boolean;
  /** On a day with a training it comes after it. */
  readonly afterTraining: boolean;
}

interface Props {
  day: WeekDayBody;
  cards: readonly Card[];
  contacts: number;
  /** What the day asks of the kneecap, and the most that a day of the week does; null where nothing of it can be read. */
  kneecap: { readonly sessionMPaS: number; readonly most: number } | null;
  isPast: boolean;
  isToday: boolean;
  isBroken: boolean;
  selected: Placed | null;
  heightM: number | null;
  side: InvolvedSide;
  mayChange: boolean;
  onDay: (part: Partial<WeekDayBody>) => void;
  onSelect: (pair: Placed) => void;
}

const marks = ["match", "training", "sprint", "favourite"] as const;

/** One day: what it has, what else is on, and what stands on it. */
export default function WeekDayColumn(props: Props) {
  const { day, cards, contacts, kneecap, isPast, isToday, isBroken, selected, mayChange } = props;
  const { setNodeRef, isOver } = useDroppable({ id: day.date, disabled: isPast || !mayChange });
  const used = cards.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <section
      ref={setNodeRef}
      className={`rounded-box flex min-w-0 flex-col gap-1 border p-1.5 ${isOver ? "border-primary border-2" : "border-base-300"} ${isPast ? "bg-base-200" : "bg-base-100"}`}
      aria-label={sayDate(day.date)}
      data-testid={`day-${day.date}`}
    >
      <h3 className={`text-sm font-semibold ${isToday ? "text-primary underline" : ""}`}>
        {sayDate(day.date)}
      </h3>
      <label className={`flex items-center gap-1 text-sm ${isBroken ? "text-error font-semibold" : ""}`}>
        <span className="tabular-nums">{t("week.used", { used: sayNumber(Math.round(used)) })}</span>
        <input
          className="input w-13 px-1 text-center"
          inputMode="numeric"
          aria-label={t("week.minutes", { day: sayDate(day.date) })}
          value={day.minutes}
          disabled={!mayChange}
          onChange={({ target }) => {
            const typed = Number(target.value);
            if (/^\d{0,4}$/.test(target.value) && typed <= 1440) props.onDay({ minutes: typed });
          }}
        />
        {t("week.min")}
      </label>
      <select
        className="select select-xs w-full max-lg:min-h-11"
        aria-label={t("week.where", { day: sayDate(day.date) })}
        value={day.where ?? "home"}
        disabled={!mayChange}
        onChange={({ target }) => props.onDay({ where: target.value as DayPlace })}
      >
        {dayPlaces.map((place) => (
          <option key={place} value={place}>
            {t(`week.place.${place}`)}
          </option>
        ))}
      </select>
      <div className="flex flex-wrap gap-x-2">
        {marks.map((mark) => (
          <label key={mark} className="flex min-h-6 items-center gap-1 text-xs max-lg:min-h-11">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={day[mark] === true}
              disabled={!mayChange}
              onChange={({ target }) => props.onDay({ [mark]: target.checked })}
            />
            {t(`week.${mark}`)}
          </label>
        ))}
      </div>
      {contacts > 0 && <p className="text-xs">{t("week.contacts", { contacts })}</p>}
      {kneecap && kneecap.sessionMPaS > 0 && (
        <p className="text-xs" title={t("week.kneecapHelp")}>
          {t("week.kneecap", { load: sayNumber(Math.round(kneecap.sessionMPaS)) })}
          <span className="bg-base-200 block h-1.5 overflow-hidden rounded-full" aria-hidden>
            <span
              className="bg-base-content/60 block h-full"
              style={{ width: `${(100 * kneecap.sessionMPaS) / kneecap.most}%` }}
            />
          </span>
        </p>
      )}
      {cards.length === 0 && <p className="text-base-content/75 text-sm">{t("week.nothing")}</p>}
      <ul className="flex flex-col gap-1">
        {cards.map((card, n) => (
          <li key={card.piece.itemId}>
            {day.training && card.afterTraining && !cards[n - 1]?.afterTraining && (
              <p className="border-base-300 mt-1 border-t pt-1 text-xs font-semibold">
                {t("week.afterTraining")}
              </p>
            )}
            <WeekCard
              card={card}
              date={day.date}
              isSelected={selected?.item === card.piece.itemId && selected.date === day.date}
              heightM={props.heightM}
              side={props.side}
              fixed={card.done || isPast || !mayChange}
              onSelect={props.onSelect}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface CardProps {
  card: Card;
  date: string;
  isSelected: boolean;
  heightM: number | null;
  side: InvolvedSide;
  fixed: boolean;
  onSelect: (pair: Placed) => void;
}

function WeekCard({ card, date, isSelected, heightM, side, fixed, onSelect }: CardProps) {
  const { piece, minutes, locked, done, broken } = card;
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({
    id: `${piece.itemId} ${date}`,
    disabled: fixed || locked,
  });
  const edge = broken ? "border-error border-2" : isSelected ? "border-primary border-2" : "border-base-300";
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-pressed={isSelected}
      className={`bg-base-100 flex min-h-11 w-full touch-manipulation items-center gap-1 rounded-md border p-1 text-left ${edge} ${isDragging ? "relative z-10 opacity-80 shadow-lg" : ""}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      onClick={() => onSelect({ item: piece.itemId, date })}
    >
      <FigureThumb
        exercise={{ id: piece.exerciseId, lane: piece.lane, drawnLike: piece.drawnLike ?? undefined }}
        prescription={piece.prescription}
        heightM={heightM}
        side={workingSide(piece.prescription, side)}
        className="size-8"
      />
      <span className="min-w-0 flex-1 text-xs leading-tight font-medium wrap-anywhere">
        {piece.name}
        <span className="sr-only">, {sayDate(date)},</span>
        <span className="text-base-content/75 block tabular-nums">
          {sayNumber(Math.round(minutes))} {t("week.min")}
        </span>
        {locked && <span className="sr-only">, {t("week.locked")}</span>}
        {done && <span className="sr-only">, {t("week.done")}</span>}
      </span>
      {locked && <Lock className="size-4 shrink-0" aria-hidden />}
      {done && <Check className="text-success size-4 shrink-0" aria-hidden />}
    </button>
  );
}
