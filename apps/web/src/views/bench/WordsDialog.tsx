import { MAX_PROMPT_LENGTH, richer, type Emphasis } from '@urbild/core';
import { Dialog } from 'radix-ui';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Take } from '../../api/client';
import { useNewStrip } from '../../api/trials';
import { useKnownNames } from '../../api/sheets';
import { DialogFrame } from '../../parts/DialogFrame';
import { KeptPhrases } from './KeptPhrases';
import { phraseOf, usedBefore, withPhrase } from './words';
import { Drawable, NotDrawn, SaidBefore, SaidMoreRichly } from './WordsParts';
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

/** The words at length: what is not understood and what could stand there, more said, what was said before. */
export function WordsDialog({ mixId, prompt, avoid, takes, emphases, onChange, onWeigh, save, onClose }: Props) {
  const go = useNavigate();
  const strip = useNewStrip(mixId);
  const names = useKnownNames();
  const [text, setText] = useState(prompt);
  const field = useRef<HTMLTextAreaElement>(null);
  const marked = () => phraseOf(text, field.current?.selectionStart ?? 0, field.current?.selectionEnd ?? 0);
  const put = (next: string) => {
    setText(next);
    onChange(next);
  };
  const more = richer(text, avoid);
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
          aria-label="The prompt at length"
          rows={3}
          maxLength={MAX_PROMPT_LENGTH}
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
        <NotDrawn text={text} avoid={avoid} names={names} onPut={put} />
      </div>
      <WordWeights prompt={text} avoid={avoid} emphases={emphases} onChange={onWeigh} />
      <SaidMoreRichly text={text} more={more} busy={strip.isPending} onDrawBoth={() => void drawBoth()} onPut={put} />
      <KeptPhrases phrase={marked} onSay={(phrase) => put(withPhrase(text, phrase))} />
      <SaidBefore earlier={usedBefore(takes, text)} onPut={put} />
      <Drawable />
      <Dialog.Close className="self-start rounded-lg border border-line bg-card px-3 py-1.5 font-semibold">
        Close
      </Dialog.Close>
    </DialogFrame>
  );
}
