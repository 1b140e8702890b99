import { MAX_PROMPT_LENGTH } from '@urbild/core';
import type { KeyboardEvent } from 'react';
import type { Shot } from '../../api/client';
import type { SeriesActs } from '../../api/seriesActs';
import { TextField } from '../../shared/forms/TextField';
import { Marked } from '../../shared/mix/Marked';

const field = 'w-full rounded-lg border border-line bg-card px-2.5 py-1.5';

/** Title, words, seed and notes of a shot; each is saved while it is typed. */
export function ShotWords({ shot, acts }: { shot: Shot; acts: SeriesActs }) {
  const save = (fields: Partial<Pick<Shot, 'title' | 'prompt' | 'seed' | 'notes'>>) => acts.changeShot(shot, fields);
  const onEnter = (e: KeyboardEvent<HTMLElement>) => {
    if (e.key === 'Enter' && !e.shiftKey) {
      e.preventDefault();
      e.currentTarget.blur();
    }
  };
  return (
    <div className="flex flex-col gap-2">
      <TextField
        label="Title of the shot"
        value={shot.title}
        most={120}
        onKeyDown={onEnter}
        onSave={(title) => title.trim() && save({ title: title.trim() })}
        className="w-full rounded bg-transparent font-title text-lg font-semibold hover:bg-shade"
      />
      <TextField
        label="Words of the shot"
        rows={3}
        value={shot.prompt}
        most={MAX_PROMPT_LENGTH}
        onKeyDown={onEnter}
        onSave={(prompt) => save({ prompt })}
        className={`${field} resize-none`}
      />
      <p className="text-sm text-muted">
        Understood: <Marked prompt={shot.prompt} />
      </p>
      <label className="flex items-center gap-2 rounded-lg border border-line bg-card px-2.5 py-1">
        <span className="text-muted">Seed</span>
        <TextField
          label="Seed of the shot"
          numeric
          value={String(shot.seed)}
          most={10}
          onKeyDown={onEnter}
          onSave={(text) => {
            const digits = text.replace(/\D/g, '');
            if (digits) save({ seed: Math.min(Number(digits), 0xffffffff) });
          }}
          className="figures w-full bg-transparent text-right"
        />
      </label>
      <TextField
        label="Notes on the shot"
        placeholder="notes on this shot"
        rows={2}
        value={shot.notes}
        most={4000}
        onSave={(notes) => save({ notes })}
        className={`${field} resize-none text-sm`}
      />
    </div>
  );
}
