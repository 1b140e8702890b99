const TICKS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

/** Lines at every tenth of the course. */
export function Ticks() {
  return (
    <div aria-hidden="true" className="absolute inset-0">
      {TICKS.map((t) => (
        <div key={t} className="absolute inset-y-0 w-px bg-line/70" style={{ left: `${t * 100}%` }} />
      ))}
    </div>
  );
}

/** What the lines stand for, under them. */
export function TickLabels() {
  return (
    <div aria-hidden="true" className="figures relative h-5 shrink-0 text-xs text-muted">
      {TICKS.map((t) => (
        <span
          key={t}
          className="absolute top-0.5 whitespace-nowrap"
          style={{ left: `${t * 100}%`, transform: `translateX(${t === 0 ? 0 : t === 1 ? -100 : -50}%)` }}
        >
          {Math.round(t * 100)} %
        </span>
      ))}
    </div>
  );
}
