import { useEffect, useRef } from "react";
import { t } from "~/messages/say";
import SignInForm from "./SignInForm";

interface Props {
  email: string;
  name: string;
  onDone: (signedIn: boolean) => void;
}

/**
 * Asks for the password in place: what stands on the page behind it stays, and goes on by itself. It is covered meanwhile: whoever
 * comes by a desk that was left reads nothing.
 */
export default function SignInAgain({ email, name, onDone }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const signedIn = useRef(false);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal bg-base-200! text-base-content"
      aria-label={t("signIn.again")}
      onClose={() => onDone(signedIn.current)}
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
