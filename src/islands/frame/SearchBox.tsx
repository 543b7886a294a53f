import { Search } from "lucide-react";
import { useRef, type RefObject } from "react";
import { focusInstead, useShortcuts } from "./use-shortcuts";

interface Props {
  label: string;
  placeholder: string;
  value: string;
  onChange: (text: string) => void;
  /** How wide it is; as wide as what it stands in without it. */
  width?: string;
  /** The field, for a view that leads back into it. */
  box?: RefObject<HTMLInputElement | null>;
  /** Leads from it into what it has found, by the arrow down. */
  onInto?: () => void;
}

/** A box that searches what stands below it as one types; `/` leads into it from anywhere on the page. */
export default function SearchBox({
  label,
  placeholder,
  value,
  onChange,
  width = "w-full",
  box,
  onInto,
}: Props) {
  const own = useRef<HTMLInputElement>(null);
  const field = box ?? own;
  useShortcuts({ "/": (event) => focusInstead(event, field.current) });
  return (
    <label className={`input ${width}`}>
      <Search className="size-5 opacity-70" aria-hidden />
      <span className="sr-only">{label}</span>
      <input
        ref={field}
        type="search"
        value={value}
        maxLength={80}
        placeholder={placeholder}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "ArrowDown" || !onInto) return;
          event.preventDefault();
          onInto();
        }}
      />
      <kbd className="kbd kbd-sm max-sm:hidden">/</kbd>
    </label>
  );
}
