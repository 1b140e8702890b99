import { useState } from 'react';
import type { Shot } from '../../api/client';
import type { SeriesActs } from '../../api/series';
import { Marked } from '../bench/WordsLane';

const field = 'w-full rounded-lg border border-line bg-card px-2.5 py-1.5';

/** Title, words, seed and notes of a shot; each is saved when it is left. */
export function ShotWords({ shot, acts }: { shot: Shot; acts: SeriesActs }) {
  const [prompt, setPrompt] = useState(shot.prompt);
  const save = (fields: Partial<Pick<Shot, 'title' | 'prompt' | 'seed' | 'notes'>>) => {
    const changed = Object.entries(fields).some(([k, v]) => shot[k as keyof Shot] !== v);
    if (changed) void acts.changeShot(shot, fields);
  };
  const onEnter = (e: React.KeyboardEvent<HTMLElement>) => {
    if (e.key === 'Enter' && !e.shiftKey) {
      e.preventDefault();
      e.currentTarget.blur();
    }
  };
  return (
    <div className="flex flex-col gap-2">
      <input
        aria-label="Title of the shot"
        defaultValue={shot.title}
        maxLength={120}
        onKeyDown={onEnter}
        onBlur={(e) => save({ title: e.target.value.trim() || shot.title })}
        className="w-full rounded bg-transparent font-title text-lg font-semibold hover:bg-shade"
      />
      <textarea
        aria-label="Words of the shot"
        rows={3}
        value={prompt}
        maxLength={2000}
        onChange={(e) => setPrompt(e.target.value)}
        onKeyDown={onEnter}
        onBlur={() => save({ prompt })}
        className={`${field} resize-none`}
      />
      <p className="text-sm text-muted">
        Understood: <Marked prompt={prompt} />
      </p>
      <label className="flex items-center gap-2 rounded-lg border border-line bg-card px-2.5 py-1">
        <span className="text-muted">Seed</span>
        <input
          aria-label="Seed of the shot"
          inputMode="numeric"
          defaultValue={shot.seed}
          maxLength={10}
          onKeyDown={onEnter}
          onBlur={(e) => {
            const seed = Number(e.target.value.replace(/\D/g, '') || shot.seed);
            e.target.value = String(seed);
            save({ seed: Math.min(seed, 0xffffffff) });
          }}
          className="figures w-full bg-transparent text-right"
        />
      </label>
      <textarea
        aria-label="Notes on the shot"
        placeholder="notes on this shot"
        rows={2}
        defaultValue={shot.notes}
        maxLength={4000}
        onBlur={(e) => save({ notes: e.target.value })}
        className={`${field} resize-none text-sm`}
      />
    </div>
  );
}
