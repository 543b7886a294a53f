import type { AskedMovement, LoadedBody } from "~/catalogue/loads/loads-of";
import type { StairItem } from "~/contract/episode";
import { kneecapShare, type KneecapShare } from "~/core/load/kneecap-share";
import { sayNumber, t } from "~/messages/say";
import { askedOf } from "./asked-of";
import { useLoads } from "./use-loads";

interface Props {
  body: LoadedBody;
  items: readonly (Pick<StairItem, "itemId" | "name" | "prescription"> & {
    readonly exercise: AskedMovement["exercise"];
  })[];
  /** Opens an item in the lab; without it the names are no links. */
  onOpen?: (itemId: string) => void;
}

/** Exercises of a plan by what they ask of the kneecap, most first. */
export default function BudgetList({ body, items, onOpen }: Props) {
  const { loads, done } = useLoads(body, items.map(askedOf));
  const shares = items.map((item, n) => {
    const told = loads[n];
    const none: KneecapShare = { peakMPa: null, sessionMPaS: null };
    return {
      item,
      share:
        told && (told.ok || told.reason !== "no-figure") ? kneecapShare(told, item.prescription.dose) : none,
    };
  });
  const read = shares
    .filter(({ share }) => share.sessionMPaS !== null)
    .sort((a, b) => (b.share.sessionMPaS ?? 0) - (a.share.sessionMPaS ?? 0));
  const unread = shares.filter(({ share }) => share.sessionMPaS === null).map(({ item }) => item.name);
  const most = Math.max(1, ...read.map(({ share }) => share.sessionMPaS ?? 0));
  if (done < items.length) return <p role="status">{t("lab.working")}</p>;
  return (
    <div data-testid="budget">
      {read.length === 0 ? (
        <p className="text-sm">{t("lab.budget.none")}</p>
      ) : (
        <table className="w-full text-sm">
          <thead>
            <tr className="text-right">
              <td />
              <th scope="col" className="px-2 font-semibold">
                {t("lab.budget.peak")}
              </th>
              <th scope="col" className="font-semibold">
                {t("lab.budget.session")}
              </th>
            </tr>
          </thead>
          <tbody>
            {read.map(({ item, share }) => (
              <tr key={item.itemId} className="border-base-300 border-t">
                <th scope="row" className="py-1 text-left font-medium">
                  {onOpen ? (
                    <button
                      type="button"
                      className="link min-h-11 text-left"
                      onClick={() => onOpen(item.itemId)}
                    >
                      {item.name}
                    </button>
                  ) : (
                    item.name
                  )}
                  <span className="bg-base-200 block h-2 overflow-hidden rounded-full">
                    <span
                      className="bg-primary block h-full"
                      style={{ width: `${(100 * (share.sessionMPaS ?? 0)) / most}%` }}
                    />
                  </span>
                </th>
                <td className="px-2 text-right tabular-nums">{sayNumber(share.peakMPa ?? 0)}</td>
                <td className="text-right tabular-nums">{sayNumber(share.sessionMPaS ?? 0)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {unread.length > 0 && (
        <p className="text-base-content/75 mt-1 text-sm">
          {t("lab.budget.unread", { names: unread.join(", ") })}
        </p>
      )}
    </div>
  );
}
