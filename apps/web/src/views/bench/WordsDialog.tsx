import { nearestWords, richer, understand, VOCABULARY, type Emphasis } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Take } from '../../api/client';
import { useNewStrip } from '../../api/trials';
import { Button } from '../../parts/Button';
import { DialogFrame } from '../../parts/DialogFrame';
import { KeptPhrases } from './KeptPhrases';
import { phraseOf, replaced, usedBefore, withPhrase } from './words';
import { Marked } from '../../shared/mix/Marked';
import { WordWeights } from './WordWeights';

interface Props {
  readonly mixId: string;
  readonly prompt: string;
  readonly avoid: string;
  /** Takes of the mix, the newest first. */
  readonly takes: readonly Take[];
  readonly emphases: readonly Emphasis[] | undefined;
  readonly onChange: (prompt: string) => void;
  readonly onWeigh: (emphases: Emphasis[]) => void;
  readonly save: () => Promise<void>;
  readonly onClose: () => void;
}

const DRAWABLE = [
  ['Places', 'place'],
  ['Times', 'time'],
  ['Weather', 'weather'],
  ['Creatures', 'creature'],
  ['Things', 'thing'],
  ['Clothes', 'garment'],
] as const;

/** The words at length: what is not understood and what could stand there, more said, what was said before. */
export function WordsDialog({ mixId, prompt, avoid, takes, emphases, onChange, onWeigh, save, onClose }: Props) {
  const go = useNavigate();
  const strip = useNewStrip(mixId);
  const [text, setText] = useState(prompt);
  const field = useRef<HTMLTextAreaElement>(null);
  const marked = () => phraseOf(text, field.current?.selectionStart ?? 0, field.current?.selectionEnd ?? 0);
  const put = (next: string) => {
    setText(next);
    onChange(next);
  };
  const { unheard } = understand(text, avoid);
  const more = richer(text, avoid);
  const earlier = usedBefore(takes, text);
  const drawBoth = async () => {
    if (text !== prompt) onChange(text);
    await save();
    strip.mutate(
      { axes: [{ setting: 'words', values: [text, more.prompt] }], name: 'plain and richer words', quality: 'draft' },
      { onSuccess: () => void go(`/bench/${mixId}/strips`) },
    );
  };
  return (
    <DialogFrame
      className="fixed top-1/2 left-1/2 z-50 flex max-h-[88vh] w-[46rem] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 flex-col gap-5 overflow-auto rounded-2xl bg-paper p-6 shadow-2xl"
      onClose={onClose}
    >
      <Dialog.Title className="font-title text-xl">What the picture shows</Dialog.Title>
      <div className="flex flex-col gap-2">
        <textarea
          ref={field}
          aria-label="The words at length"
          rows={3}
          maxLength={2000}
          value={text}
          onChange={(e) => setText(e.target.value)}
          onBlur={() => text !== prompt && onChange(text)}
          className="w-full resize-y rounded-lg border border-edge bg-card px-3 py-2 text-lg"
        />
        {text && (
          <p aria-label="As it is understood" className="text-md">
            <Marked prompt={text} />
          </p>
        )}
        {unheard.length > 0 && (
          <ul aria-label="Words that the painter does not know" className="flex flex-col gap-1.5">
            {unheard.map((span) => (
              <li key={span.start} className="flex flex-wrap items-center gap-2 text-sm">
                <span>“{span.text}” is not drawn.</span>
                {nearestWords(span.text).map((word) => (
                  <Button key={word} onClick={() => put(replaced(text, span, word))}>
                    {word}
                  </Button>
                ))}
              </li>
            ))}
          </ul>
        )}
      </div>
      <WordWeights prompt={text} avoid={avoid} emphases={emphases} onChange={onWeigh} />
      <Part title="Said more richly">
        {more.added.length ? (
          <>
            <div className="grid grid-cols-2 gap-4">
              <p className="rounded-lg border border-line bg-card px-3 py-2">{text || 'nothing yet'}</p>
              <p className="rounded-lg border border-line bg-card px-3 py-2">
                {text && `${text.replace(/[\s,.]+$/, '')}, `}
                <span className="font-semibold">{more.added.join(', ')}</span>
              </p>
            </div>
            <div className="flex gap-2">
              <Button look="main" disabled={strip.isPending} onClick={() => void drawBoth()}>
                Draw both and compare
              </Button>
              <Button onClick={() => put(more.prompt)}>Use the richer words</Button>
            </div>
          </>
        ) : (
          <p className="text-muted">These words leave nothing open.</p>
        )}
      </Part>
      <KeptPhrases phrase={marked} onSay={(phrase) => put(withPhrase(text, phrase))} />
      {earlier.length > 0 && (
        <Part title="Said before">
          <ul className="flex flex-col divide-y divide-line">
            {earlier.map((words) => (
              <li key={words} className="flex items-center gap-3 py-1.5">
                <span className="min-w-0 flex-1">{words}</span>
                <Button onClick={() => put(words)}>Say this</Button>
              </li>
            ))}
          </ul>
        </Part>
      )}
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
      <Dialog.Close className="self-start rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
        Close
      </Dialog.Close>
    </DialogFrame>
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
