import type { PhoneLink } from "~/contract/phones";
import { sayTime, t } from "~/messages/say";

/** A code that was just made: to be scanned, or typed; shown only now. */
export default function PhoneCode({ made, zone }: { made: PhoneLink; zone: string }) {
  const { picture, address, code, expiresAt } = made;
  return (
    <div className="flex flex-wrap items-center gap-4" role="status" data-testid="phone-code">
      <img
        className="size-48 rounded bg-white"
        src={`data:image/svg+xml,${encodeURIComponent(picture)}`}
        alt={t("phones.scan")}
      />
      <div className="min-w-56 flex-1">
        <p className="font-semibold">{t("phones.scan")}</p>
        <p className="break-all">{t("phones.orType", { address })}</p>
        <p className="my-1 font-mono text-2xl font-bold tracking-wider">{code}</p>
        <p>{t("phones.codeWith")}</p>
        <p className="text-base-content/80 mt-2 text-sm">
          {t("phones.once", { until: sayTime(expiresAt, zone) })}
        </p>
      </div>
    </div>
  );
}
