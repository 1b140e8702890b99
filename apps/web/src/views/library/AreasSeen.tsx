import { SEEN_KINDS, SEEN_TINTS, type SeenKind } from '@urbild/core';
import { useRef } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect, type EngineView } from '../../api/references';
import { Button } from '../../parts/Button';

/** What an area shows, as an artist says it. */
const NAMES: Readonly<Record<SeenKind, string>> = {
  sky: 'sky',
  water: 'water',
  ground: 'ground or hills',
  plants: 'plants',
  building: 'a building',
  rock: 'rock',
  person: 'somebody',
  thing: 'a thing',
  'sun or moon': 'sun or moon',
  nothing: 'plain ground, left out',
};
/** So many areas have a line of their own; the small rest goes with what is around it. */
const LISTED = 12;

type Area = EngineView['areas'][number];
type Named = Reference['corrections']['areas'][number];

/** Two places are in one area when a name was given to it: both are where its widest part lies. */
const isFor = (area: Area) => (named: Named) =>
  Math.abs(named.x - area.x) < 0.002 && Math.abs(named.y - area.y) < 0.002;

/** The areas that a picture was taken apart into, each with what it shows, which can be set right. */
export function AreasSeen({ reference: r, gives }: { reference: Reference; gives: EngineView }) {
  const correct = useCorrect();
  const choices = useRef<(HTMLSelectElement | null)[]>([]);
  const named = r.corrections.areas;
  const areas = gives.areas.slice(0, LISTED);
  const save = (area: Area, is: SeenKind) => {
    const others = named.filter((n) => !isFor(area)(n));
    correct(r, { areas: is === area.kind ? others : [...others, { x: area.x, y: area.y, is }] });
  };
  if (!areas.length) return null;
  return (
    <section>
      <h3 className="mb-1 text-sm font-semibold text-muted">What each area shows</h3>
      <div className="relative">
        <img src={gives.areasUrl} alt={`Areas of ${r.title}`} className="w-full" />
        {areas.map((a, k) => (
          <button
            key={k}
            type="button"
            tabIndex={-1}
            aria-hidden
            onClick={() => choices.current[k]?.focus()}
            className="figures absolute grid size-5 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full bg-card text-xs text-ink shadow"
            style={{ left: `${a.x * 100}%`, top: `${a.y * 100}%` }}
          >
            {k + 1}
          </button>
        ))}
      </div>
      <ol className="mt-2 flex flex-col gap-1 text-sm">
        {areas.map((a, k) => {
          const own = named.find(isFor(a));
          const is = own?.is ?? a.kind;
          return (
            <li key={k} className="flex items-center gap-2">
              <span className="figures w-5 text-right text-muted">{k + 1}</span>
              <span aria-hidden className="size-4 shrink-0 rounded-full" style={{ background: SEEN_TINTS[is] }} />
              <select
                ref={(element) => {
                  choices.current[k] = element;
                }}
                aria-label={`Area ${k + 1} shows`}
                value={is}
                title={own ? 'said by hand' : `told by: ${a.why}`}
                onChange={(e) => save(a, e.target.value as SeenKind)}
                className="min-w-0 flex-1 rounded-lg border border-line bg-card px-1.5 py-1"
              >
                {SEEN_KINDS.map((kind) => (
                  <option key={kind} value={kind}>
                    {NAMES[kind]}
                  </option>
                ))}
              </select>
              {own && <span className="text-muted">by hand</span>}
              <span className="figures w-12 text-right text-muted">
                {a.share < 0.01 ? '< 1' : Math.round(a.share * 100)} %
              </span>
            </li>
          );
        })}
      </ol>
      <p className="mt-1 text-sm text-muted">
        As a layout, a place or everything, each area is painted as what it shows.
      </p>
      {named.length > 0 && (
        <Button look="plain" className="text-sm" onClick={() => correct(r, { areas: [] })}>
          As read
        </Button>
      )}
    </section>
  );
}
