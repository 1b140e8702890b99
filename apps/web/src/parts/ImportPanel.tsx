import { Check, CircleQuestionMark, LoaderCircle, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Button } from './Button';
import { DoublesDialog } from './DoublesDialog';
import { useImports, type ImportFile } from './imports';

/** The files that are being brought in: how far, what was refused and why, what has to be decided. */
export function ImportPanel() {
  const { files, sending, clear } = useImports();
  const [asking, setAsking] = useState(false);
  if (!files.length && !sending.length) return null;
  const by = (state: ImportFile['state']) => files.filter((f) => f.state === state);
  const open = sending.length + by('waiting').length + by('reading').length;
  const all = sending.length + files.length;
  const refused = by('refused');
  const questions = by('question');
  const done = by('done').length + by('skipped').length;
  // damaged files of which something could be read: they came in, and somebody should look
  const told = [...refused, ...by('done').filter((f) => f.reason)];
  return (
    <section
      aria-label="Pictures on their way in"
      className="absolute right-4 bottom-4 z-20 w-96 rounded-xl border border-line bg-card shadow-xl"
    >
      <header className="flex items-center gap-2 border-b border-line px-4 py-2">
        {open ? (
          <LoaderCircle size={16} className="animate-spin text-muted" aria-hidden />
        ) : (
          <Check size={16} aria-hidden />
        )}
        <h2 className="figures flex-1 font-semibold" aria-live="polite">
          {open ? `Adding ${all - open} of ${all}` : `${done} added`}
        </h2>
        {!open && (
          <Button look="plain" onClick={clear}>
            Close
          </Button>
        )}
      </header>
      <div
        className="h-1 bg-shade"
        role="progressbar"
        aria-label="Added"
        aria-valuemin={0}
        aria-valuemax={all}
        aria-valuenow={all - open}
      >
        <div className="h-1 bg-ink" style={{ width: `${(100 * (all - open)) / all}%` }} />
      </div>
      {questions.length > 0 && (
        <div className="flex items-center gap-2 border-b border-line bg-blush px-4 py-2">
          <CircleQuestionMark size={16} className="shrink-0" aria-hidden />
          <span className="flex-1">
            {questions.length === 1 ? 'One possible duplicate' : `${questions.length} possible duplicates`}
          </span>
          <Button onClick={() => setAsking(true)}>Decide</Button>
        </div>
      )}
      {told.length > 0 && (
        <ul className="max-h-48 overflow-auto py-1" aria-label="Refused or repaired" tabIndex={0}>
          {told.map((f) => (
            <li key={f.id} className="flex items-start gap-2 px-4 py-1.5">
              <TriangleAlert size={16} className="mt-0.5 shrink-0 text-signal" aria-hidden />
              <div className="min-w-0 flex-1">
                <div className="truncate font-semibold">{f.name}</div>
                <div className={f.state === 'refused' ? 'text-signal' : ''}>{f.reason}</div>
              </div>
            </li>
          ))}
        </ul>
      )}
      <DoublesDialog open={asking && questions.length > 0} onClose={() => setAsking(false)} questions={questions} />
    </section>
  );
}
