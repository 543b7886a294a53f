import { t } from "~/messages/say";

interface Props {
  submit: string;
  disabled: boolean;
  onCancel?: (() => void) | undefined;
  /** Other ways out, between the signature and the way back. */
  children?: React.ReactNode;
}

/** The end of a form: what signs it, and the way back. */
export default function FormFeet({ submit, disabled, onCancel, children }: Props) {
  return (
    <div className="flex flex-wrap gap-2">
      <button className="btn btn-primary" disabled={disabled}>
        {submit}
      </button>
      {children}
      {onCancel && (
        <button type="button" className="btn btn-ghost" onClick={onCancel}>
          {t("sign.cancel")}
        </button>
      )}
    </div>
  );
}
