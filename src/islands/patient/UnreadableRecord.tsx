import type { StairView } from "~/contract/episode";
import { island } from "~/islands/frame/island";
import { t } from "~/messages/say";
import RaiseSignal from "./RaiseSignal";
import type { Signalled } from "./signalled";
import SignalBanner from "./SignalBanner";

interface Props {
  name: string;
  record: Signalled & Pick<StairView, "signals" | "zone" | "maySign">;
}

/** In place of a view of a record that the rules cannot judge: whose it is, what is open, and how to raise an alarm. */
function UnreadableRecord({ name, record }: Props) {
  const again = () => location.reload();
  return (
    <section className="mx-auto mt-10 flex max-w-3xl flex-col gap-3 px-4" data-testid="unreadable">
      <h1 className="text-2xl font-bold">{name}</h1>
      <SignalBanner stair={record} onChange={again} />
      <h2 className="text-xl font-semibold">{t("unreadable.title")}</h2>
      <p>{t("unreadable.text")}</p>
      <div className="flex flex-wrap gap-2">
        <RaiseSignal stair={record} onRaised={again} />
        <a className="btn" href="/">
          {t("notFound.back")}
        </a>
      </div>
    </section>
  );
}

export default island(UnreadableRecord);
