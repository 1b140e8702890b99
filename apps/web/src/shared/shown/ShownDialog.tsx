import { GIVES, give, INFLUENCE_SETTINGS, SETTINGS, type AnySetting } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { DialogFrame } from '../../parts/DialogFrame';
import { legendOf, ShownStrip } from './ShownStrip';
import { SPAN_SAYS } from './spanSays';

interface Entry {
  readonly name: string;
  readonly title: string;
  readonly says: string;
}

const { weight, reading, motif } = INFLUENCE_SETTINGS;
const entry = (name: string, { title, says }: Pick<AnySetting, 'title' | 'says'>): Entry => ({ name, title, says });

const OF_A_LANE: readonly Entry[] = [
  entry('weight', weight),
  { name: 'span', title: 'Span', says: SPAN_SAYS },
  entry('reading', reading),
  entry('motif', motif),
];
const OF_THE_MIX = Object.entries<AnySetting>(SETTINGS).flatMap(([name, s]) =>
  legendOf(name) ? [entry(name, s)] : [],
);
const OF_GIVES = GIVES.map((g) => ({ name: g, title: `Gives ${g}`, says: give(g).says }));

const PARTS: readonly (readonly [string, readonly Entry[]])[] = [
  ['A lane', OF_A_LANE],
  ['What a lane gives', OF_GIVES],
  ['The mix', OF_THE_MIX],
];

/** Every setting and every give in a sentence and in pictures, to be read through at once. */
export function ShownDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <DialogFrame
      onClose={onClose}
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] w-[46rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col rounded-2xl bg-card p-6 shadow-2xl"
    >
      <Dialog.Title className="mb-3 font-title text-2xl">What each setting does</Dialog.Title>
      <div tabIndex={0} role="group" aria-label="Settings in pictures" className="min-h-0 flex-1 overflow-y-auto pr-2">
        {PARTS.map(([title, entries]) => (
          <section key={title} aria-label={title} className="mb-4">
            <h2 className="mb-2 border-b border-line pb-1 font-semibold">{title}</h2>
            <ul className="flex flex-col gap-4">
              {entries.map((one) => (
                <li key={one.name}>
                  <h3 className="font-semibold">{one.title}</h3>
                  <p className="mb-1.5 text-sm text-muted">{one.says}.</p>
                  <ShownStrip name={one.name} />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <Dialog.Close className="mt-4 self-start rounded-lg border border-line px-3 py-1.5 font-semibold">
        Close
      </Dialog.Close>
    </DialogFrame>
  );
}
