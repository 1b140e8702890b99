import type { Reference } from '../../api/client';
import type { useLookReading } from '../../api/sheets';
import { ClosenessMap } from './ClosenessMap';

interface Props {
  readonly reading: NonNullable<ReturnType<typeof useLookReading>['data']>;
  readonly references: ReadonlyMap<string, Reference>;
}

/** What is read of all pictures of a look together: how coherent they are, their palette, which lie near each other. */
export function LookReading({ reading, references }: Props) {
  return (
    <>
      <section>
        <h2 className="mb-1 flex justify-between text-sm font-semibold text-muted">
          Coherence <span className="figures text-ink">{Math.round(reading.coherence * 100)} %</span>
        </h2>
        <div className="h-1.5 rounded bg-shade">
          <div className="h-1.5 rounded bg-style" style={{ width: `${reading.coherence * 100}%` }} />
        </div>
        <ul className="mt-2 flex flex-col gap-1">
          {reading.advice.map((a) => (
            <li key={a}>{a}</li>
          ))}
        </ul>
      </section>
      {reading.swatches.length > 0 && (
        <section>
          <h2 className="mb-1 text-sm font-semibold text-muted">Combined palette</h2>
          <div
            className="flex h-8 overflow-hidden rounded-md"
            role="img"
            aria-label={`Palette: ${reading.swatches.map((s) => s.colour).join(', ')}`}
          >
            {reading.swatches.map((s, k) => (
              <div key={k} style={{ background: s.colour, flexGrow: s.weight }} />
            ))}
          </div>
        </section>
      )}
      {reading.map.length > 2 && <ClosenessMap reading={reading} references={references} />}
    </>
  );
}
