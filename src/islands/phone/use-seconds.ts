import { useEffect, useRef, useState } from "react";

const tickMs = 200;

/**
 * Seconds that have gone by since a clock was started anew, pauses left out.
 *
 * @param key the clock begins again when it changes
 * @param running it stands still while false
 * @param onTick is told the seconds at every tick
 */
export function useSeconds(key: unknown, running: boolean, onTick: (seconds: number) => void): number {
  const [seconds, setSeconds] = useState(0);
  const before = useRef(0);
  const [known, setKnown] = useState(key);
  if (known !== key) {
    setKnown(key);
    setSeconds(0);
  }
  const latest = useRef(onTick);
  useEffect(() => {
    latest.current = onTick;
  });
  useEffect(() => {
    before.current = 0;
  }, [key]);
  useEffect(() => {
    if (!running) return;
    const began = performance.now() - before.current * 1000;
    const timer = setInterval(() => {
      before.current = (performance.now() - began) / 1000;
      setSeconds(before.current);
      latest.current(before.current);
    }, tickMs);
    return () => clearInterval(timer);
  }, [key, running]);
  return seconds;
}
