import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import { useDropzone } from 'react-dropzone';
import { api, ask } from '../api/client';
import { keys } from '../api/keys';
import { useNotice } from './notices';
import { UploadQueue, type Sending } from './uploadQueue';

export type ImportFile = Schemas['ImportFileDto'];

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

const ACCEPTED = { 'image/*': ['.png', '.jpg', '.jpeg', '.webp', '.avif', '.tif', '.tiff', '.gif'] };

/** Takes pictures that are dropped anywhere, pasted, or chosen; what is not sent when the page closes is sent the next time. */
export function ImportProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const tell = useNotice();
  const [queue] = useState(() => new UploadQueue());
  const sending = useSyncExternalStore(queue.subscribe, queue.snapshot);
  const { data: files = [] } = useQuery({ queryKey: keys.imports, queryFn: () => ask(api.GET('/api/v1/imports')) });
  const bringIn = useCallback((chosen: readonly File[]) => void queue.add(chosen), [queue]);
  useEffect(() => {
    const arrived = () => void client.invalidateQueries({ queryKey: keys.imports });
    Object.assign(queue, { onArrived: arrived, onRefused: (text: string) => tell(text, { grave: true }) });
    void queue.resume();
  }, [queue, client, tell]);
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
        <input {...getInputProps()} aria-label="Picture files to add" />
        {children}
        {isDragActive && (
          <div className="pointer-events-none fixed inset-3 z-50 grid place-content-center rounded-2xl border-4 border-dashed border-cinnabar bg-paper/85">
            <p className="font-title text-3xl">Drop to add</p>
          </div>
        )}
      </div>
    </ImportContext.Provider>
  );
}
