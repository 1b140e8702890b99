import { nearestWords, richer, understand, VOCABULARY, type KnownName } from '@urbild/core';
import type { ReactNode } from 'react';
import { Button } from '../../parts/Button';
import { replaced } from './words';

const DRAWABLE = [
  ['Places', 'place'],
  ['Times', 'time'],
  ['Weather', 'weather'],
  ['Creatures', 'creature'],
  ['Things', 'thing'],
  ['Clothes', 'garment'],
] as const;

interface NotDrawnProps {
  readonly text: string;
  readonly avoid: string;
  /** Whom the studio knows. */
  readonly names: readonly KnownName[];
  readonly onPut: (text: string) => void;
}

/** Words that the painter does not know, each with those that could stand there, and words of which less is drawn than they say. */
export function NotDrawn({ text, avoid, names, onPut }: NotDrawnProps) {
  const { unheard, unused } = understand(text, avoid, names);
  if (!unheard.length && !unused.length) return null;
  return (
    <ul aria-label="Words that are not drawn" className="flex flex-col gap-1.5">
      {unheard.map((span) => (
        <li key={span.start} className="flex flex-wrap items-center gap-2 text-sm">
          <span>“{span.text}” is not drawn.</span>
          {nearestWords(span.text).map((word) => (
            <Button key={word} onClick={() => onPut(replaced(text, span, word))}>
              {word}
            </Button>
          ))}
        </li>
      ))}
      {unused.map((span) => (
        <li key={`${span.start}${span.why}`} className="text-sm">
          “{span.text}” is not drawn. <span className="text-muted">{span.why}</span>
        </li>
      ))}
    </ul>
  );
}

interface RicherProps {
  readonly text: string;
  readonly more: ReturnType<typeof richer>;
  readonly busy: boolean;
  readonly onDrawBoth: () => void;
  readonly onPut: (text: string) => void;
}

/** What the words leave open, said. */
export function SaidMoreRichly({ text, more, busy, onDrawBoth, onPut }: RicherProps) {
  if (!more.added.length)
    return (
      <Part title="Said more richly">
        <p className="text-muted">These words leave nothing open.</p>
      </Part>
    );
  return (
    <Part title="Said more richly">
      <div className="grid grid-cols-2 gap-4">
        <p className="rounded-lg border border-line bg-card px-3 py-2">{text || 'nothing yet'}</p>
        <p className="rounded-lg border border-line bg-card px-3 py-2">
          {text && `${text.replace(/[\s,.]+$/, '')}, `}
          <span className="font-semibold">{more.added.join(', ')}</span>
        </p>
      </div>
      <div className="flex gap-2">
        <Button look="main" disabled={busy} onClick={onDrawBoth}>
          Draw both and compare
        </Button>
        <Button onClick={() => onPut(more.prompt)}>Use the richer words</Button>
      </div>
    </Part>
  );
}

/** Words of earlier takes. */
export function SaidBefore({ earlier, onPut }: { earlier: readonly string[]; onPut: (text: string) => void }) {
  if (!earlier.length) return null;
  return (
    <Part title="Said before">
      <ul className="flex flex-col divide-y divide-line">
        {earlier.map((words) => (
          <li key={words} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 flex-1">{words}</span>
            <Button onClick={() => onPut(words)}>Say this</Button>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** What the painter can draw, by kind. */
export function Drawable() {
  return (
    <details>
      <summary className="cursor-pointer font-semibold">What the painter can draw</summary>
      <dl className="mt-2 flex flex-col gap-2 text-sm">
        {DRAWABLE.map(([title, axis]) => (
          <div key={axis}>
            <dt className="font-semibold">{title}</dt>
            <dd>{Object.keys(VOCABULARY[axis]).join(', ')}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="flex flex-col gap-2">
      <h3 className="font-semibold">{title}</h3>
      {children}
    </section>
  );
}
