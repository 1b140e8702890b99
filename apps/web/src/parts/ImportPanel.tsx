import { Check, Copy, LoaderCircle, TriangleAlert } from 'lucide-react';
import { Button } from './Button';
import { useImports, type Import } from './imports';

const WORDS: Readonly<Record<Import['state'], string>> = {
  waiting: 'waits',
  sending: 'is sent',
  reading: 'is read and measured',
  done: 'is in the library',
  double: 'was in the library already',
  refused: 'was refused',
};

/** The files that are being brought in, each with its progress or the reason why not. */
export function ImportPanel() {
  const { files, clear } = useImports();
  if (!files.length) return null;
  const open = files.filter((f) => f.state === 'waiting' || f.state === 'sending' || f.state === 'reading').length;
  return (
    <section
      aria-label="Pictures on their way in"
      className="absolute right-4 bottom-4 z-20 w-96 rounded-xl border border-line bg-card shadow-xl"
    >
      <header className="flex items-center justify-between border-b border-line px-4 py-2">
        <h2 className="font-semibold">
          {open ? `Bringing in ${files.length - open} of ${files.length}` : `${files.length} brought in`}
        </h2>
        <Button look="plain" onClick={clear}>
          Close
        </Button>
      </header>
      <ul className="max-h-64 overflow-auto py-1">
        {files.map((f) => (
          <li key={f.id} className="flex items-start gap-2 px-4 py-1.5">
            <StateSign state={f.state} />
            <div className="min-w-0 flex-1">
              <div className="truncate font-semibold">{f.name}</div>
              <div className={f.state === 'refused' ? 'text-cinnabar' : 'text-muted'}>{f.reason ?? WORDS[f.state]}</div>
              {f.state === 'sending' && (
                <div className="mt-1 h-1 rounded bg-shade">
                  <div className="h-1 rounded bg-ink" style={{ width: `${f.sent * 100}%` }} />
                </div>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function StateSign({ state }: { state: Import['state'] }) {
  const size = 16;
  if (state === 'done') return <Check size={size} className="mt-0.5 shrink-0 text-image" aria-hidden />;
  if (state === 'double') return <Copy size={size} className="mt-0.5 shrink-0 text-muted" aria-hidden />;
  if (state === 'refused') return <TriangleAlert size={size} className="mt-0.5 shrink-0 text-cinnabar" aria-hidden />;
  return <LoaderCircle size={size} className="mt-0.5 shrink-0 animate-spin text-muted" aria-hidden />;
}
