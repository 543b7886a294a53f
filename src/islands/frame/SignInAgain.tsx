import { useEffect, useRef } from "react";
import { t } from "~/messages/say";
import { putDrafts, takeDrafts } from "./tab-drafts";
import SignInForm from "./SignInForm";

const waitMs = 15 * 60_000;

interface Props {
  email: string;
  name: string;
  onDone: () => void;
}

/**
 * Asks for the password in place: what stands on the page behind it stays, and goes on by itself. It is covered meanwhile: whoever
 * comes by a desk that was left reads nothing. What was being typed leaves the tab, and comes back with whoever typed it; after a
 * quarter of an hour the page is left altogether.
 */
export default function SignInAgain({ email, name, onDone }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const signedIn = useRef(false);
  useEffect(() => {
    dialog.current?.showModal();
    const drafts = takeDrafts(sessionStorage);
    const leaving = setTimeout(() => location.assign("/sign-in"), waitMs);
    return () => {
      clearTimeout(leaving);
      if (signedIn.current) putDrafts(sessionStorage, drafts);
    };
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal bg-base-200! text-base-content"
      aria-label={t("signIn.again")}
      onClose={() => {
        if (signedIn.current) onDone();
        // The key that closes dialogs uncovers nothing.
        else dialog.current?.showModal();
      }}
    >
      <div className="modal-box">
        <h2 className="text-lg font-semibold">{t("signIn.again")}</h2>
        <p className="mt-1">{t("signIn.againSays")}</p>
        <p className="my-3 font-medium">{name}</p>
        <SignInForm
          email={email}
          onDone={() => {
            signedIn.current = true;
            dialog.current?.close();
          }}
        />
        <a className="link mt-3 inline-flex min-h-11 items-center text-sm" href="/sign-in">
          {t("signIn.else")}
        </a>
      </div>
    </dialog>
  );
}
