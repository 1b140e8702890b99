import { HEIGHTS } from '@urbild/core';
import { Lock, LockOpen } from 'lucide-react';
import type { Character, Trait } from '../../api/sheets';
import { Slider } from '../../shared/forms/Slider';

interface Props {
  readonly character: Character;
  readonly cast: readonly Character[];
  readonly onCorrect: (corrected: Trait[]) => void;
}

/** Units of the drawing per grown person, and the room beside each. */
const UNIT = 100;
const STEP = 44;

/** Somebody's outline, one unit high, standing at 0. */
const PERSON =
  'M0 -100 a7 7.6 0 0 1 0 15.2 a7 7.6 0 0 1 0 -15.2 M-6 -83 h12 q7 1 8 9 l2 26 q-3 4 -6 0 l-2 -16 l0 64 h-7 l-1 -42 l-1 42 h-7 l0 -64 l-2 16 q-3 4 -6 0 l2 -26 q1 -8 8 -9 z';
const CREATURE = 'M-26 -2 v-40 q0 -26 26 -26 h8 l6 -32 q18 2 18 20 l-8 10 v26 q0 12 -6 18 v24 h-6 v-20 h-26 v20 z';

/** The cast side by side on one ground, as tall as its pictures are drawn; the height of the one whose sheet is open can be set. */
export function HeightLine({ character: c, cast, onCorrect }: Props) {
  const said = c.corrected.find(({ name }) => name === 'height');
  const others = c.corrected.filter((t) => t !== said);
  const tallest = Math.max(1, ...cast.map((one) => one.height));
  const isPerson = c.species === 'person';
  return (
    <section aria-label="Height">
      <h2 className="mb-1 flex justify-between text-sm font-semibold text-muted">
        Height <span className="figures text-ink">{c.height.toFixed(2)}</span>
      </h2>
      <svg
        role="img"
        aria-label={`How tall the cast is: ${cast.map((one) => `${one.name} ${one.height.toFixed(2)}`).join(', ')}`}
        viewBox={`0 ${-UNIT * tallest - 4} ${STEP * cast.length + 8} ${UNIT * tallest + 8}`}
        className="h-24 w-full rounded border border-line bg-card"
      >
        <line x1="0" x2={STEP * cast.length + 8} y1={-UNIT} y2={-UNIT} className="stroke-line" strokeDasharray="3 4" />
        <line x1="0" x2={STEP * cast.length + 8} y1="0.5" y2="0.5" className="stroke-edge" />
        {cast.map((one, k) => (
          <path
            key={one.id}
            d={one.species === 'person' ? PERSON : CREATURE}
            transform={`translate(${STEP * (k + 0.5) + 4} 0) scale(${one.species === 'person' ? 1 : one.height} ${one.height})`}
            className={one.id === c.id ? 'fill-character' : 'fill-edge'}
          >
            <title>{one.name}</title>
          </path>
        ))}
      </svg>
      {isPerson && (
        <div className="mt-1 flex items-center gap-2">
          <Slider
            label={`Height of ${c.name}`}
            min={HEIGHTS.least}
            max={HEIGHTS.most}
            step={0.02}
            value={c.height}
            tone="bg-character"
            className="min-w-0 flex-1"
            onSave={(number) => onCorrect([...others, { name: 'height', number }])}
          />
          <button
            type="button"
            aria-pressed={!!said}
            aria-label={said ? 'Let the height follow the description again' : 'Hold the height as it is'}
            className={`grid size-6 place-items-center rounded ${said ? 'text-signal' : 'text-muted hover:text-ink'}`}
            onClick={() => onCorrect(said ? others : [...others, { name: 'height', number: c.height }])}
          >
            {said ? <Lock size={14} aria-hidden /> : <LockOpen size={14} aria-hidden />}
          </button>
        </div>
      )}
    </section>
  );
}
