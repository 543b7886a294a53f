/** The stair in small: the treads climbed, and the one stood on. */
export default function MiniStair({ number, count }: { number: number; count: number }) {
  const [width, rise] = [84 / count, 20 / count];
  return (
    <svg viewBox="0 0 84 26" width={84} height={26} aria-hidden className="shrink-0">
      {Array.from({ length: count }, (_, i) => (
        <rect
          key={i}
          x={i * width + 0.5}
          y={24 - (i + 1) * rise}
          width={width - 1.5}
          height={(i + 1) * rise + 2}
          className={
            i + 1 === number
              ? "fill-primary"
              : i + 1 < number
                ? "fill-primary/35"
                : "fill-base-300 stroke-base-content/30"
          }
          strokeWidth={i + 1 > number ? 0.6 : 0}
        />
      ))}
    </svg>
  );
}
