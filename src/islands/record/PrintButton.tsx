import { Printer } from "lucide-react";
import { island } from "~/islands/frame/island";
import { t } from "~/messages/say";

function PrintButton() {
  return (
    <button type="button" className="btn" onClick={() => print()}>
      <Printer className="size-5" aria-hidden />
      {t("record.print")}
    </button>
  );
}

export default island(PrintButton);
