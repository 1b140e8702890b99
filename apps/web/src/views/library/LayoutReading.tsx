import { AREA_KINDS, type AreaKind } from '@urbild/core';
import type { Reference } from '../../api/client';
import { useCorrect, type EngineView } from '../../api/references';

const READINGS = [
  { read: 'picture', name: 'a picture: its areas are painted as what they show' },
  { read: 'areas', name: 'a plan: flat colours stand for places' },
  { read: 'distance', name: 'near and far in grey' },
] as const;
const NAMES: Readonly<Record<AreaKind, string>> = {
  sky: 'sky',
  water: 'water',
  ground: 'ground',
  trees: 'trees',
  hills: 'hills',
  rock: 'rock',
  building: 'buildings',
  somebody: 'somebody',
};
/** From which part in flat colours on a picture looks like a plan. */
const PLAIN = 0.9;

type Layout = EngineView['layout'];

/** How a layout is read: as the picture it is, as a plan of named colours, or as a map of near and far. */
export function LayoutReading({ reference, gives }: { reference: Reference; gives: EngineView }) {
  const correct = useCorrect();
  const { layout, flat, planColours } = gives;
  const save = (next: Layout) => correct(reference, { layout: next });
  const choose = (read: Layout['read']) =>
    save(
      read === 'areas'
        ? { read, areas: planColours.map(({ colour, is }) => ({ colour, is })) }
        : read === 'distance'
          ? { read, near: 'light' }
          : { read },
    );
  return (
    <fieldset className="flex flex-col gap-1 text-sm">
      <legend className="mb-1 font-semibold text-muted">Used as a layout, it is</legend>
      {READINGS.map(({ read, name }) => (
        <label key={read} className="flex items-center gap-2">
          <input
            type="radio"
            name={`layout-${reference.id}`}
            checked={layout.read === read}
            onChange={() => choose(read)}
            className="accent-ink"
          />
          {name}
        </label>
      ))}
      {layout.read === 'picture' && flat > PLAIN && planColours.length > 1 && (
        <p className="text-muted">Its colours are flat, as in a plan: they can stand for sky, water, trees.</p>
      )}
      {layout.read === 'areas' && <Areas layout={layout} colours={planColours} save={save} />}
      {layout.read === 'distance' && (
        <label className="mt-1 flex items-center gap-2">
          near is
          <select
            value={layout.near}
            onChange={(e) => save({ read: 'distance', near: e.target.value as 'light' | 'dark' })}
            className="rounded-lg border border-line bg-card px-1.5 py-1"
          >
            <option value="light">light</option>
            <option value="dark">dark</option>
          </select>
        </label>
      )}
    </fieldset>
  );
}

/** The colours of a plan and what each stands for. */
function Areas({
  layout,
  colours,
  save,
}: {
  layout: Layout;
  colours: EngineView['planColours'];
  save: (next: Layout) => void;
}) {
  const areas = layout.areas ?? [];
  const partOf = (colour: string) => colours.find((c) => c.colour === colour)?.part;
  return (
    <ul className="mt-1 flex flex-col gap-1">
      {areas.map(({ colour, is }, k) => {
        const part = partOf(colour);
        return (
          <li key={colour} className="flex items-center gap-2">
            <span aria-hidden className="h-6 w-10 rounded border border-line" style={{ background: colour }} />
            <select
              aria-label={`The colour ${colour} stands for`}
              value={is}
              onChange={(e) =>
                save({
                  read: 'areas',
                  areas: areas.map((a, i) => (i === k ? { ...a, is: e.target.value as AreaKind } : a)),
                })
              }
              className="min-w-0 flex-1 rounded-lg border border-line bg-card px-1.5 py-1"
            >
              {AREA_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {NAMES[kind]}
                </option>
              ))}
            </select>
            <span className="figures w-12 text-right">{part === undefined ? '' : `${Math.round(part * 100)} %`}</span>
          </li>
        );
      })}
    </ul>
  );
}
