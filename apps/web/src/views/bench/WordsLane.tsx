import { MAX_PROMPT_LENGTH } from '@urbild/core';
import { useState } from 'react';
import type { Take } from '../../api/client';
import { Marked } from '../../shared/mix/Marked';

/**
 * The words of a mix: what is understood is strong, what the painter does not know is underlined. They are saved while they are typed;
 * Escape goes back to what they were.
 */
export function WordsLane({
  prompt,
  take,
  onChange,
}: {
  prompt: string;
  /** The picture on the table: what it does not show of these words is marked. */
  take?: Pick<Take, 'prompt' | 'notDrawn'>;
  onChange: (prompt: string) => void;
}) {
  const [editing, setEditing] = useState<{ readonly text: string; readonly before: string } | undefined>(undefined);
  const begin = () => setEditing({ text: prompt, before: prompt });
  const type = (text: string) => {
    setEditing((now) => ({ before: prompt, ...now, text }));
    onChange(text);
  };
  const shared = 'h-full w-full px-2.5 text-lg';
  return editing === undefined ? (
    <button
      data-main="The prompt"
      type="button"
      onClick={begin}
      onFocus={begin}
      aria-label={`The prompt: ${prompt || 'none yet'}. Edit`}
      className={`${shared} truncate text-left hover:bg-card/50`}
    >
      {prompt ? (
        <Marked prompt={prompt} notDrawn={take?.prompt === prompt ? take.notDrawn : undefined} />
      ) : (
        <span className="text-muted">Say what the picture shows: who, where, when, doing what</span>
      )}
    </button>
  ) : (
    <input
      autoFocus
      aria-label="The prompt"
      value={editing.text}
      maxLength={MAX_PROMPT_LENGTH}
      onChange={(e) => type(e.target.value)}
      onBlur={() => setEditing(undefined)}
      onKeyDown={(e) => {
        if (e.key === 'Enter' && !e.ctrlKey && !e.metaKey) e.currentTarget.blur();
        if (e.key !== 'Escape') return;
        onChange(editing.before);
        setEditing(undefined);
      }}
      className={`${shared} bg-card`}
    />
  );
}
