import { useQueryClient } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import type { Kind } from '../api/client';
import { keys } from '../api/queries';

/** One file on its way into the library. */
export interface Import {
  readonly id: number;
  readonly name: string;
  readonly state: 'waiting' | 'sending' | 'reading' | 'done' | 'double' | 'refused';
  /** Part that is sent, 0..1. */
  readonly sent: number;
  /** Why it was refused. */
  readonly reason?: string;
}

interface Imports {
  readonly files: readonly Import[];
  /** Opens the file dialog. */
  readonly choose: () => void;
  readonly clear: () => void;
}

const ImportContext = createContext<Imports>({ files: [], choose: () => {}, clear: () => {} });

/** The files that are being brought in, and how to bring in more. */
export const useImports = (): Imports => useContext(ImportContext);

const AT_ONCE = 2;
const ACCEPTED = { 'image/*': ['.png', '.jpg', '.jpeg', '.webp', '.avif', '.tif', '.tiff', '.gif'] };

interface Outcome {
  readonly ok: boolean;
  readonly double: boolean;
  readonly reason?: string;
}

/** Sends one file; XMLHttpRequest because fetch cannot tell how much is sent. */
function send(file: File, kind: Kind | undefined, onSent: (part: number) => void): Promise<Outcome> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', '/api/v1/references');
    request.upload.onprogress = (e) => e.lengthComputable && onSent(e.loaded / e.total);
    request.onload = () => {
      const answer = parse(request.responseText);
      if (request.status < 300) resolve({ ok: true, double: answer.duplicate === true });
      else
        resolve({
          ok: false,
          double: false,
          reason: typeof answer.detail === 'string' ? answer.detail : 'The studio refused it.',
        });
    };
    request.onerror = () =>
      resolve({ ok: false, double: false, reason: 'The studio does not answer. Bring it in again when it is back.' });
    const form = new FormData();
    if (kind) form.append('kind', kind);
    form.append('file', file);
    request.send(form);
  });
}

function parse(text: string): Record<string, unknown> {
  try {
    return JSON.parse(text) as Record<string, unknown>;
  } catch {
    return {};
  }
}

let nextId = 1;
let running = 0;
const waiting: (() => void)[] = [];

/** Does a piece of work when fewer than {@link AT_ONCE} others run. */
async function inLine(work: () => Promise<void>): Promise<void> {
  if (running >= AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  running++;
  try {
    await work();
  } finally {
    running--;
    waiting.shift()?.();
  }
}

/** Takes pictures that are dropped anywhere, pasted, or chosen, and brings them in two at a time. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const [files, setFiles] = useState<readonly Import[]>([]);
  const bringIn = useCallback(
    (chosen: readonly File[]) => {
      const update = (id: number, change: Partial<Import>) =>
        setFiles((all) => all.map((f) => (f.id === id ? { ...f, ...change } : f)));
      const entries = chosen.map((file) => ({ id: nextId++, file }));
      setFiles((all) => [
        ...all,
        ...entries.map(({ id, file }): Import => ({ id, name: file.name, state: 'waiting', sent: 0 })),
      ]);
      for (const { id, file } of entries) {
        void inLine(async () => {
          update(id, { state: 'sending' });
          const outcome = await send(file, undefined, (sent) =>
            update(id, { sent, state: sent >= 1 ? 'reading' : 'sending' }),
          );
          const state = outcome.ok ? (outcome.double ? 'double' : 'done') : 'refused';
          update(id, { state, reason: outcome.reason, sent: 1 });
          void client.invalidateQueries({ queryKey: keys.references });
        });
      }
    },
    [client],
  );
  useEffect(() => {
    const onPaste = (e: ClipboardEvent) => {
      const pictures = [...(e.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'));
      if (pictures.length) bringIn(pictures);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, [bringIn]);
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    onDrop: (accepted, rejected) => bringIn([...accepted, ...rejected.map((r) => r.file)]),
    accept: ACCEPTED,
    noClick: true,
    noKeyboard: true,
  });
  const value = useMemo(
    () => ({
      files,
      choose: open,
      clear: () =>
        setFiles((all) => all.filter((f) => f.state === 'sending' || f.state === 'waiting' || f.state === 'reading')),
    }),
    [files, open],
  );
  return (
    <ImportContext.Provider value={value}>
      <div {...getRootProps({ role: undefined, tabIndex: undefined })} className="h-full">
        <input {...getInputProps()} aria-label="Picture files to bring in" />
        {children}
        {isDragActive && (
          <div className="pointer-events-none fixed inset-3 z-50 grid place-content-center rounded-2xl border-4 border-dashed border-cinnabar bg-paper/85">
            <p className="font-title text-3xl">Let go to bring the pictures in</p>
          </div>
        )}
      </div>
    </ImportContext.Provider>
  );
}
