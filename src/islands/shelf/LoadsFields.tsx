import { kitList } from "~/core/exercise/kit";
import { label, t } from "~/messages/say";
import { ways } from "~/messages/ways";
import { loadsText, loadsTyped } from "./loads-text";

/** Kit that has loads. */
export const loadable = kitList.filter(({ shelfKg }) => shelfKg !== undefined);

/** Loads of each piece as typed; a piece that is left out has its usual ones. */
export type TypedLoads = Readonly<Record<string, string>>;

export const asTyped = (shelf: Readonly<Record<string, readonly number[]>>): TypedLoads =>
  Object.fromEntries(Object.entries(shelf).map(([code, loads]) => [code, loadsText(loads)]));

/** The shelf that was typed; null while something of it cannot be read. */
export function shelfTyped(typed: TypedLoads): Record<string, number[]> | null {
  const read = Object.entries(typed).map(([code, text]) => [code, loadsTyped(text)] as const);
  if (read.some(([, loads]) => loads === null)) return null;
  return Object.fromEntries(
    read.flatMap(([code, loads]) => (loads && loads.length > 0 ? [[code, loads]] : [])),
  );
}

interface Props {
  typed: TypedLoads;
  onTyped: (typed: TypedLoads) => void;
  /** Pieces that are asked about. */
  kit: readonly string[];
  readOnly?: boolean;
}

/** The loads of each piece of kit, one line each; empty means the usual ones. */
export default function LoadsFields({ typed, onTyped, kit, readOnly = false }: Props) {
  const unit = ways().weight;
  return (
    <div className="grid gap-x-4 gap-y-2 sm:grid-cols-2">
      {loadable
        .filter(({ code }) => kit.includes(code))
        .map(({ code, shelfKg = [] }) => {
          const text = typed[code] ?? "";
          const isWrong = loadsTyped(text) === null;
          const says = isWrong ? `loads-wrong-${code}` : undefined;
          return (
            <label key={code} className="flex flex-col gap-1 text-sm font-medium">
              <span>
                {label("kit", code)} ({unit})
              </span>
              <input
                className={`input w-full ${isWrong ? "input-error" : ""}`}
                inputMode="text"
                autoComplete="off"
                readOnly={readOnly}
                aria-invalid={isWrong}
                aria-describedby={says}
                placeholder={t("shelf.usual", { loads: loadsText([...shelfKg.slice(0, 3)]) })}
                value={text}
                onChange={(event) => onTyped({ ...typed, [code]: event.target.value })}
              />
              {isWrong && (
                <span id={says} className="text-error">
                  {t("shelf.loadsWrong")}
                </span>
              )}
            </label>
          );
        })}
    </div>
  );
}
