import type { Emphasis } from '@urbild/core';
import { weighed, withWeight } from './words';
import { Slider } from '../../shared/forms/Slider';

interface Props {
  readonly prompt: string;
  readonly avoid: string;
  readonly emphases: readonly Emphasis[] | undefined;
  readonly onChange: (emphases: Emphasis[]) => void;
}

/** How much each word counts: who and what grows and comes nearer or goes, light and colours gain or lose. */
export function WordWeights({ prompt, avoid, emphases, onChange }: Props) {
  const words = weighed(prompt, avoid, emphases);
  if (!words.length) return null;
  return (
    <section className="flex flex-col gap-2" aria-label="How much each word counts">
      <h3 className="font-semibold">How much each word counts</h3>
      <ul className="grid grid-cols-2 gap-x-6 gap-y-1.5">
        {words.map(({ words: word, weight }) => (
          <li key={word}>
            <div className="flex items-center gap-2">
              <span className="w-28 shrink-0 truncate">{word}</span>
              <Slider
                label={`How much “${word}” counts`}
                min={0}
                max={2}
                step={0.1}
                value={weight}
                onMove={(v) => onChange(withWeight(emphases, word, v))}
                className="min-w-0 flex-1"
              />
              <span className="figures w-20 shrink-0 text-right text-sm">
                {weight < 0.05 ? 'left out' : weight === 1 ? 'as said' : weight.toFixed(1)}
              </span>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
