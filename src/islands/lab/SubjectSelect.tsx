import type { LabView } from "~/contract/lab";
import type { StairItem } from "~/contract/episode";
import { t } from "~/messages/say";

interface Props {
  /** What is chosen, for the ear; without it a label stands round it. */
  says?: string;
  items: readonly Pick<StairItem, "itemId" | "name" | "variantName">[];
  library: LabView["library"];
  /** An item's id or an exercise's code; empty for none. */
  value: string;
  onValue: (key: string) => void;
  /** What stands first, for none. */
  none?: string;
}

/** Exercises to choose from: those of the plan first, then the library's. */
export default function SubjectSelect({ says, items, library, value, onValue, none }: Props) {
  return (
    <select
      aria-label={says}
      className="select w-full"
      value={value}
      onChange={(event) => onValue(event.target.value)}
    >
      {none !== undefined && <option value="">{none}</option>}
      {items.length > 0 && (
        <optgroup label={t("lab.ofPlan")}>
          {items.map(({ itemId, name, variantName }) => (
            <option key={itemId} value={itemId}>
              {name}, {variantName}
            </option>
          ))}
        </optgroup>
      )}
      <optgroup label={t("lab.ofLibrary")}>
        {library.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </optgroup>
    </select>
  );
}
