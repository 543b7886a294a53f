import { useEffect, useRef, useState, type RefObject } from "react";

/** The width that a chart's box has, in pixels, kept as the box changes; never less than the least that can be read. */
export function useWidth(least: number): [box: RefObject<HTMLDivElement | null>, width: number] {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(least);
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setWidth(Math.max(least, entry.contentRect.width)),
    );
    if (box.current) watch.observe(box.current);
    return () => watch.disconnect();
  }, [least]);
  return [box, width];
}
