import { Heart } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Found } from '../../api/references';
import { useCast, useLooks } from '../../api/sheets';
import { KindSign } from '../../parts/KindSign';
import { KINDS } from '../../theme/kinds';
import { Collections } from './Collections';
import type { LibraryState } from './useLibraryState';
import { Slider } from '../../shared/forms/Slider';
import { OneStop } from '../../shared/keys/OneStop';

const RIGHTS = ['own work', 'licensed', 'supplied by client', 'personal use only', 'not cleared'] as const;
const STATES = [
  { state: 'fine', name: 'Sound' },
  { state: 'warning', name: 'With a warning' },
  { state: 'serious', name: 'With a serious fault' },
] as const;
/** Colours to look for, around the circle and in grey. */
const COLOURS = [
  '#b5402f',
  '#c9782d',
  '#c9a53a',
  '#6f8b3c',
  '#3f7f6f',
  '#3f6f9a',
  '#4a4f94',
  '#8a4a86',
  '#e9dfc8',
  '#8b8b8b',
  '#26282c',
  '#6b4a33',
];

/** What the library can be narrowed by, with counts of what each choice would leave. */
export function Facets({ found, state }: { found: Found | undefined; state: LibraryState }) {
  const { search, set } = state;
  const { data: looks } = useLooks();
  const { data: cast } = useCast();
  const facets = found?.facets;
  const choice = (key: string, value: string, name: string, count: number | undefined, sign?: ReactNode) => (
    <Choice
      key={value}
      name={name}
      sign={sign}
      count={count ?? 0}
      chosen={search.get(key) === value}
      onChoose={() => set({ [key]: search.get(key) === value ? null : value, sel: null })}
    />
  );
  const tags = Object.entries(facets?.tag ?? {})
    .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
    .slice(0, 24);
  return (
    <aside aria-label="Narrow the library" className="min-h-0 overflow-auto border-r border-line bg-paper px-3 py-4">
      <Collections state={state} counts={facets?.collection} />
      <Facet title="Kind">
        {KINDS.map((k) => choice('kind', k.kind, k.name, facets?.kind[k.kind], <KindSign kind={k.kind} />))}
      </Facet>
      <ColourFacet state={state} />
      {!!looks?.length && (
        <Facet title="Looks">{looks.map((l) => choice('look', l.id, l.name, facets?.look[l.id]))}</Facet>
      )}
      {!!cast?.length && (
        <Facet title="Cast">{cast.map((c) => choice('character', c.id, c.name, facets?.character[c.id]))}</Facet>
      )}
      {tags.length > 0 && <Facet title="Tags">{tags.map(([t, count]) => choice('tag', t, t, count))}</Facet>}
      <Facet title="Rating">
        <LeastRating state={state} />
        {choice('favourite', 'true', 'Favourites', facets?.favourite, <Heart size={15} aria-hidden />)}
      </Facet>
      <Facet title="Checks">{STATES.map((s) => choice('state', s.state, s.name, facets?.state[s.state]))}</Facet>
      <Facet title="Rights">{RIGHTS.map((r) => choice('rights', r, r, facets?.rights[r]))}</Facet>
      <Facet title="Use">
        {choice('used', 'unused', 'In no mix yet', facets?.unused)}
        {choice('away', 'true', 'Archived', facets?.away)}
      </Facet>
    </aside>
  );
}

function ColourFacet({ state: { search, set } }: { state: LibraryState }) {
  return (
    <section className="mb-5">
      <h2 className="mb-1.5 px-1 text-sm font-semibold text-muted">Colour</h2>
      <OneStop role="group" aria-label="Colours" className="grid grid-cols-6 gap-1 px-1">
        {COLOURS.map((c) => (
          <button
            key={c}
            type="button"
            aria-label={`Pictures with the colour ${c}`}
            aria-pressed={search.get('colour') === c}
            onClick={() => set({ colour: search.get('colour') === c ? null : c, like: null, sel: null })}
            className={`aspect-square rounded-sm border border-line ${search.get('colour') === c ? 'outline-2 outline-offset-1 outline-cinnabar' : ''}`}
            style={{ background: c }}
          />
        ))}
      </OneStop>
      {search.get('colour') && (
        <div className="mt-2 flex items-center gap-2 px-1 text-sm text-muted">
          how near
          <Slider
            label="How near the colour has to be"
            min={0.02}
            max={0.2}
            step={0.01}
            value={Number(search.get('tolerance') ?? 0.08)}
            onMove={(v) => set({ tolerance: String(v) })}
            className="min-w-0 flex-1"
          />
        </div>
      )}
    </section>
  );
}

function LeastRating({ state: { search, set } }: { state: LibraryState }) {
  return (
    <li className="flex items-center gap-0.5 px-1">
      {[1, 2, 3, 4, 5].map((n) => (
        <button
          key={n}
          type="button"
          aria-label={`At least ${n} of 5`}
          aria-pressed={search.get('rating') === String(n)}
          onClick={() => set({ rating: search.get('rating') === String(n) ? null : String(n), sel: null })}
          className={`figures rounded border px-2 py-0.5 text-sm ${Number(search.get('rating') ?? 9) <= n ? 'border-ink bg-card font-semibold' : 'border-line text-muted hover:border-edge'}`}
        >
          {n}
        </button>
      ))}
    </li>
  );
}

function Facet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-5">
      <h2 className="mb-1 px-1 text-sm font-semibold text-muted">{title}</h2>
      <OneStop role="list">{children}</OneStop>
    </section>
  );
}

function Choice({
  name,
  sign,
  count,
  chosen,
  onChoose,
}: {
  name: string;
  sign?: ReactNode;
  count: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className={`flex w-full items-center gap-2 rounded-md px-1 py-1 text-left ${chosen ? 'bg-shade font-semibold' : 'hover:bg-shade'}`}
      >
        {sign}
        <span className="flex-1 truncate">{name}</span>
        <span className="figures text-sm text-muted">{count}</span>
      </button>
    </li>
  );
}
