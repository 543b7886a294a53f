import { label, t } from "~/messages/say";

interface Props {
  marks: readonly string[];
  onMarks: (marks: string[]) => void;
}

interface Part {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly r: number;
}

/** Parts of one half of a body, 100 wide and 240 high, drawn twice: the body's right is on the picture's left in front. */
const half: readonly Part[] = [
  { name: "shoulder", x: 54, y: 34, w: 20, h: 14, r: 6 },
  { name: "arm", x: 66, y: 50, w: 10, h: 52, r: 5 },
  { name: "trunk", x: 51, y: 50, w: 14, h: 34, r: 4 },
  { name: "hip", x: 60, y: 86, w: 11, h: 18, r: 5 },
  { name: "groin", x: 50.5, y: 86, w: 9, h: 20, r: 3 },
  { name: "thigh-outer", x: 61, y: 106, w: 9, h: 40, r: 4 },
  { name: "thigh-inner", x: 51, y: 108, w: 9, h: 38, r: 4 },
  { name: "knee", x: 53, y: 148, w: 14, h: 16, r: 6 },
  { name: "shin", x: 54, y: 166, w: 12, h: 42, r: 5 },
  { name: "ankle", x: 55, y: 210, w: 10, h: 9, r: 4 },
  { name: "foot", x: 54, y: 221, w: 16, h: 9, r: 4 },
];

const views = ["front", "back"] as const;

/** A body from the front and from behind; a tap marks a part, another takes the mark away. */
export default function BodyOutline({ marks, onMarks }: Props) {
  const toggle = (mark: string) =>
    onMarks(marks.includes(mark) ? marks.filter((other) => other !== mark) : [...marks, mark]);
  return (
    <div className="flex gap-3" role="group" aria-label={t("body.title")}>
      {views.map((view) => (
        <figure key={view}>
          <svg viewBox="20 4 60 232" className="h-112" role="group" aria-label={t(`body.${view}`)}>
            <circle cx={50} cy={18} r={10} className="fill-base-300" />
            <rect x={46} y={28} width={8} height={8} className="fill-base-300" />
            {half.flatMap((part) =>
              (["left", "right"] as const).map((side) => {
                // Seen from the front, the body's left lies on the viewer's right.
                const onRight = (side === "left") === (view === "front");
                const mark = `${view}-${part.name}-${side}`;
                const on = marks.includes(mark);
                const name = t("body.part", {
                  part: label("part", part.name),
                  side: label("side", side),
                  view: t(`body.${view}`),
                });
                return (
                  <rect
                    key={mark}
                    x={onRight ? part.x : 100 - part.x - part.w}
                    y={part.y}
                    width={part.w}
                    height={part.h}
                    rx={part.r}
                    role="checkbox"
                    aria-checked={on}
                    aria-label={name}
                    tabIndex={0}
                    className={`cursor-pointer stroke-base-100 ${on ? "fill-error" : "fill-base-300"}`}
                    strokeWidth={on ? 2 : 0.5}
                    onClick={() => toggle(mark)}
                    onKeyDown={(event) => {
                      if (event.key !== " " && event.key !== "Enter") return;
                      event.preventDefault();
                      toggle(mark);
                    }}
                  >
                    <title>{name}</title>
                  </rect>
                );
              }),
            )}
          </svg>
          <figcaption className="text-center text-sm">{t(`body.${view}`)}</figcaption>
        </figure>
      ))}
      <p className="max-w-48 text-sm">
        {marks.length === 0 ? t("body.none") : marks.map(sayMark).join(", ")}
      </p>
    </div>
  );
}

function sayMark(mark: string): string {
  const [view, ...rest] = mark.split("-");
  const side = rest.pop() ?? "";
  return `${label("part", rest.join("-"))} ${label("side", side)} (${label("body", view ?? "")})`;
}
