import { understand } from '@urbild/core';
import { useMemo, useState, type ReactNode } from 'react';

/** The words of a mix: what is understood is strong, what the painter does not know is underlined. */
export function WordsLane({ prompt, onChange }: { prompt: string; onChange: (prompt: string) => void }) {
  const [editing, setEditing] = useState<string | undefined>(undefined);
  const save = () => {
    if (editing !== undefined && editing !== prompt) onChange(editing);
    setEditing(undefined);
  };
  const shared = 'h-full w-full px-2.5 text-lg';
  return editing === undefined ? (
    <button
      type="button"
      onClick={() => setEditing(prompt)}
      onFocus={() => setEditing(prompt)}
      aria-label={`The words: ${prompt || 'none yet'}. Edit`}
      className={`${shared} truncate text-left hover:bg-card/50`}
    >
      {prompt ? (
        <Marked prompt={prompt} />
      ) : (
        <span className="text-muted">Say what the picture shows: who, where, when, doing what</span>
      )}
    </button>
  ) : (
    <input
      autoFocus
      aria-label="The words"
      value={editing}
      maxLength={2000}
      onChange={(e) => setEditing(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => {
        if (e.key === 'Enter' && !e.ctrlKey && !e.metaKey) e.currentTarget.blur();
        if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) save();
        if (e.key === 'Escape') setEditing(undefined);
      }}
      className={`${shared} bg-card`}
    />
  );
}

/** A prompt with its understood and unheard words marked. */
export function Marked({ prompt }: { prompt: string }) {
  const parts = useMemo(() => {
    const { understood, unheard } = understand(prompt);
    const spans = [
      ...understood.map((s) => ({ ...s, heard: true })),
      ...unheard.map((s) => ({ ...s, heard: false, means: '' })),
    ].sort((a, b) => a.start - b.start);
    const out: ReactNode[] = [];
    let at = 0;
    for (const s of spans) {
      out.push(prompt.slice(at, s.start));
      out.push(
        s.heard ? (
          <span key={s.start} className="font-semibold" title={s.means}>
            {s.text}
          </span>
        ) : (
          <span
            key={s.start}
            className="text-muted underline decoration-wavy decoration-cinnabar underline-offset-3"
            title="The painter does not know this word"
          >
            {s.text}
          </span>
        ),
      );
      at = s.end;
    }
    out.push(prompt.slice(at));
    return out;
  }, [prompt]);
  return <>{parts}</>;
}
