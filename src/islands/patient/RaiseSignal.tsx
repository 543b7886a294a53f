import { useEffect, useState } from "react";
import { TriangleAlert } from "lucide-react";
import type { StairView } from "~/contract/episode";
import { later } from "~/islands/frame/later";
import { t } from "~/messages/say";
import type { Signalled } from "./signalled";

const loadDialog = () => import("./RaiseDialog");
const RaiseDialog = later(loadDialog);

interface Props {
  stair: Signalled;
  onRaised: (next: StairView) => void;
}

/** 'Something is wrong': opens every stop signal. What it opens is fetched as soon as the view stands, not when it is needed. */
export default function RaiseSignal({ stair, onRaised }: Props) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    void loadDialog();
  }, []);
  return (
    <>
      <button type="button" className="btn btn-error btn-outline" onClick={() => setOpen(true)}>
        <TriangleAlert className="size-5" aria-hidden />
        <span className="max-[359px]:sr-only">{t("signals.button")}</span>
      </button>
      {open && <RaiseDialog stair={stair} onRaised={onRaised} onClosed={() => setOpen(false)} />}
    </>
  );
}
