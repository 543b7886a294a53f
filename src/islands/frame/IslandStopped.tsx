import { TriangleAlert } from "lucide-react";
import { t } from "~/messages/say";

interface Props {
  why: string;
  typed: string;
  beginAnew: (() => void) | null;
}

/** In place of a view that could not be drawn: what happened, what had been typed, and the ways on. */
export default function IslandStopped({ why, typed, beginAnew }: Props) {
  return (
    <section
      role="alert"
      className="bg-base-100 border-error rounded-box mx-auto my-4 max-w-3xl border-2 p-4"
    >
      <h2 className="flex items-center gap-2 text-xl font-bold">
        <TriangleAlert className="text-error size-6 shrink-0" aria-hidden />
        {t("stopped.title")}
      </h2>
      <p className="mt-2">{t("stopped.text")}</p>
      {typed !== "" && (
        <label className="mt-3 block font-medium">
          {t("stopped.typed")}
          <textarea className="textarea mt-1 h-40 w-full font-mono text-sm" readOnly value={typed} />
        </label>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {typed !== "" && (
          <button type="button" className="btn" onClick={() => void navigator.clipboard?.writeText(typed)}>
            {t("stopped.copy")}
          </button>
        )}
        <button type="button" className="btn btn-primary" onClick={() => location.reload()}>
          {t("stopped.again")}
        </button>
        {beginAnew && (
          <button type="button" className="btn" onClick={beginAnew}>
            {t("stopped.anew")}
          </button>
        )}
      </div>
      <p className="text-base-content/75 mt-3 text-sm">{t("stopped.why", { why })}</p>
    </section>
  );
}
