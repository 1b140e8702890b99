import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { api, ask } from '../api/client';
import { keys } from '../api/keys';
import { useNotice } from './notices';
import { dropFile, keepFiles, waitingFiles, type WaitingFile } from './waitingFiles';

export type ImportFile = Schemas['ImportFileDto'];

/** A file that is still here, or on its way to the studio. */
export interface Sending {
  readonly id: string;
  readonly name: string;
  /** Part that is sent, 0..1. */
  readonly sent: number;
}

interface Imports {
  /** Not yet in the studio. */
  readonly sending: readonly Sending[];
  /** In the studio, in any state. */
  readonly files: readonly ImportFile[];
  /** Opens the file dialog. */
  readonly choose: () => void;
  readonly clear: () => void;
  readonly decide: (ids: readonly string[], decision: Schemas['Decision']) => Promise<void>;
}

const ImportContext = createContext<Imports>({
  sending: [],
  files: [],
  choose: () => {},
  clear: () => {},
  decide: () => Promise.resolve(),
});

/** The files that are being brought in, and how to bring in more. */
export const useImports = (): Imports => useContext(ImportContext);

const AT_ONCE = 3;
const ACCEPTED = { 'image/*': ['.png', '.jpg', '.jpeg', '.webp', '.avif', '.tif', '.tiff', '.gif'] };

type Outcome = 'sent' | 'refused' | 'unreachable';

/** Sends one file; XMLHttpRequest because fetch cannot tell how much is sent. */
function send(
  { id, name, file }: WaitingFile,
  onSent: (part: number) => void,
): Promise<{ outcome: Outcome; reason?: string }> {
  return new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('POST', '/api/v1/imports');
    request.upload.onprogress = (e) => e.lengthComputable && onSent(e.loaded / e.total);
    request.onload = () => {
      if (request.status < 300) return resolve({ outcome: 'sent' });
      let reason = 'The studio refused it.';
      try {
        reason = (JSON.parse(request.responseText) as { detail?: string }).detail ?? reason;
      } catch {
        // no problem document: the general words stand
      }
      resolve({ outcome: request.status >= 500 ? 'unreachable' : 'refused', reason });
    };
    request.onerror = request.onabort = () => resolve({ outcome: 'unreachable' });
    const form = new FormData();
    form.append('id', id);
    form.append('file', file, name);
    request.send(form);
  });
}

/** Ids that sort in the order in which files were chosen, and are UUIDs. */
const orderedId = (k: number): string => {
  const time = (Date.now() * 1000 + k).toString(16).padStart(14, '0').slice(-14);
  const rest = crypto.randomUUID();
  return `${time.slice(0, 8)}-${time.slice(8, 12)}-4${time.slice(12, 14)}0-${rest.slice(19)}`;
};

/** Takes pictures that are dropped anywhere, pasted, or chosen; what is not sent when the page closes is sent the next time. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const tell = useNotice();
  const [sending, setSending] = useState<readonly Sending[]>([]);
  const { data: files = [] } = useQuery({ queryKey: keys.imports, queryFn: () => ask(api.GET('/api/v1/imports')) });
  const line = useRef<WaitingFile[]>([]);
  const running = useRef(0);

  const pump = useCallback(() => {
    while (running.current < AT_ONCE && line.current.length) {
      const next = line.current.shift()!;
      running.current++;
      void (async () => {
        // one window at a time sends a file
        await navigator.locks.request(`import-${next.id}`, async () => {
          const { outcome, reason } = await send(next, (sent) =>
            setSending((all) => all.map((s) => (s.id === next.id ? { ...s, sent } : s))),
          );
          if (outcome === 'unreachable') return void setTimeout(() => line.current.push(next), 3000);
          if (outcome === 'refused') tell(`${next.name}: ${reason}`, { grave: true });
          await dropFile(next.id);
          setSending((all) => all.filter((s) => s.id !== next.id));
          void client.invalidateQueries({ queryKey: keys.imports });
        });
        running.current--;
        pump();
      })();
    }
  }, [client, tell]);

  const take = useCallback(
    (waiting: readonly WaitingFile[]) => {
      line.current.push(...waiting);
      setSending((all) => [...all, ...waiting.map(({ id, name }) => ({ id, name, sent: 0 }))]);
      pump();
    },
    [pump],
  );
  const bringIn = useCallback(
    (chosen: readonly File[]) => {
      const waiting = chosen.map((file, k): WaitingFile => ({ id: orderedId(k), name: file.name, file }));
      void keepFiles(waiting).then(
        () => take(waiting),
        // no room to keep them: they are sent all the same, but a reload would lose them
        () => take(waiting),
      );
    },
    [take],
  );
  useEffect(() => {
    void waitingFiles().then(
      (left) => left.length && take(left),
      () => undefined,
    );
  }, [take]);
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
    (): Imports => ({
      sending,
      files,
      choose: open,
      clear: () =>
        void ask(api.POST('/api/v1/imports/clear')).then(() => client.invalidateQueries({ queryKey: keys.imports })),
      decide: async (ids, decision) => {
        try {
          await ask(api.POST('/api/v1/imports/decide', { body: { ids: [...ids], decision } }));
        } catch (error) {
          tell((error as Error).message, { grave: true });
        }
        await client.invalidateQueries({ queryKey: keys.imports });
        await client.invalidateQueries({ queryKey: ['search'] });
      },
    }),
    [sending, files, open, client, tell],
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
