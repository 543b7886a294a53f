import { useEffect, useRef, useState } from "react";
import { later } from "~/islands/frame/later";
import type { Shown } from "./use-figure";

const StillFigure = later(() => import("./StillFigure"));

interface Props extends Shown {
  className?: string;
}

/** A small still figure at its hard end; drawn once it comes into view. */
export default function FigureThumb({ className = "size-24", ...shown }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!box.current) return;
    const watcher = new IntersectionObserver(
      (entries) => {
        if (!entries.some((entry) => entry.isIntersecting)) return;
        setSeen(true);
        watcher.disconnect();
      },
      { rootMargin: "200px" },
    );
    watcher.observe(box.current);
    return () => watcher.disconnect();
  }, []);
  return (
    <div ref={box} className={`shrink-0 ${className}`} data-testid="thumb">
      {seen && <StillFigure {...shown} />}
    </div>
  );
}
