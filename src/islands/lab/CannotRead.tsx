import type { LoadsOrNoFigure } from "~/catalogue/loads/loads-of";
import { label, t } from "~/messages/say";

/** Why the loads of a movement are not told, where they are not. */
export default function CannotRead({ told }: { told: LoadsOrNoFigure | null }) {
  if (!told || told.ok) return null;
  return (
    <p className="text-warning font-semibold">
      {told.reason === "undrawable"
        ? t("lab.cannot.undrawable", { why: told.why })
        : label("lab.cannot", told.reason)}
    </p>
  );
}
