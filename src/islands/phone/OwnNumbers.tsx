import type { PhoneView } from "~/contract/phone";
import { sayDate, sayQuantity, t } from "~/messages/say";

const barWidth = 100;

/** A patient's own numbers over time, the hurt leg's, with the other leg's last one beside. */
export default function OwnNumbers({ numbers }: { numbers: NonNullable<PhoneView["numbers"]> }) {
  if (numbers.length === 0) return null;
  return (
    <div data-testid="own-numbers">
      <h2 className="text-xl font-bold">{t("phone.numbers")}</h2>
      <ul className="mt-2 flex flex-col gap-4">
        {numbers.map(({ name, unit, points, other }) => {
          const most = Math.max(1, other ?? 0, ...points.map(({ value }) => value));
          const said = (value: number) => sayQuantity(value, unit);
          return (
            <li key={name}>
              <h3 className="font-semibold">{name}</h3>
              <ul className="text-base">
                {points.map(({ date, value }) => (
                  <NumberLine
                    key={date}
                    name={sayDate(date)}
                    said={said(value)}
                    share={value / most}
                    look="fill-primary"
                  />
                ))}
                {other !== null && (
                  <NumberLine
                    name={t("phone.otherLeg")}
                    said={said(other)}
                    share={other / most}
                    look="fill-base-content/50"
                  />
                )}
              </ul>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function NumberLine({
  name,
  said,
  share,
  look,
}: {
  name: string;
  said: string;
  share: number;
  look: string;
}) {
  return (
    <li className="flex items-center gap-2">
      <span className="w-24 shrink-0">{name}</span>
      <svg
        viewBox={`0 0 ${barWidth} 10`}
        preserveAspectRatio="none"
        className="h-3 min-w-0 flex-1"
        aria-hidden
      >
        <rect width={barWidth} height="10" className="fill-base-300" />
        <rect width={Math.max(0, barWidth * share)} height="10" className={look} />
      </svg>
      <span className="w-20 shrink-0 text-right tabular-nums">{said}</span>
    </li>
  );
}
