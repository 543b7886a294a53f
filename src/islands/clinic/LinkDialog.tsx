import { useEffect, useRef, useState } from "react";
import type { PasswordLink } from "~/contract/staff";
import { sayTime, t } from "~/messages/say";

interface Props {
  name: string;
  made: PasswordLink;
  zone: string;
  onClose: () => void;
}

/** The link with which somebody sets a password, shown this once. */
export default function LinkDialog({ name, made: { token, expiresAt }, zone, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [copied, setCopied] = useState(false);
  const link = `${location.origin}/set-password#${token}`;
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal text-base-content"
      aria-label={t("staff.linkTitle", { name })}
      onClose={onClose}
    >
      <div className="modal-box">
        <h2 className="text-lg font-semibold">{t("staff.linkTitle", { name })}</h2>
        <p className="mt-2">{t("staff.linkHelp", { time: sayTime(expiresAt, zone) })}</p>
        <input
          className="input mt-3 w-full font-mono text-sm"
          readOnly
          value={link}
          aria-label={t("staff.link")}
          onFocus={(event) => event.target.select()}
        />
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <button
            type="button"
            className="btn"
            onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
          >
            {t("staff.copy")}
          </button>
          <form method="dialog">
            <button className="btn btn-primary">{t("staff.linkDone")}</button>
          </form>
          <p role="status">{copied && t("staff.copied")}</p>
        </div>
      </div>
    </dialog>
  );
}
