import { Ban } from "lucide-react";
import { sayTime, t } from "~/messages/say";

interface Props {
  voided: { at: string; by: string; reason: string };
  zone: string;
}

/** By whom something was voided, when and why. */
export default function VoidedNote({ voided: { at, by, reason }, zone }: Props) {
  return (
    <p className="flex items-start gap-1 font-semibold" data-testid="voided">
      <Ban className="mt-1 size-4 shrink-0" aria-hidden />
      {t("record.voidedBy", { time: sayTime(at, zone), by, reason })}
    </p>
  );
}
