import { useState, type DragEvent } from 'react';
import { api, ask, type Reference } from '../../api/client';
import { useReferencesById, useSearch } from '../../api/references';
import { useNotice } from '../../parts/notices';
import { OneStop } from '../../shared/keys/OneStop';

interface Props {
  readonly kind: 'style' | 'face';
  /** What is picked: "a look", "a face". */
  readonly what: string;
  readonly chosen: Reference | undefined;
  readonly onChoose: (reference: Reference | undefined) => void;
}

const SHOWN = 5;

/** A few sound pictures of a kind to choose one of, and room for one of one's own: dropped here, or chosen from a folder. */
export function PickRow({ kind, what, chosen, onChoose }: Props) {
  const { data: found } = useSearch(`kind=${kind}&state=fine`);
  const [own, setOwn] = useState<Reference>();
  const [isOver, setOver] = useState(false);
  const ids = (found?.ids ?? []).filter((id) => id !== own?.id).slice(0, own ? SHOWN - 1 : SHOWN);
  const references = useReferencesById(ids);
  const all = [...(own ? [own] : []), ...references.values()];
  const add = useOwnPicture(kind, (reference) => {
    setOwn(reference);
    onChoose(reference);
  });
  const drop = (e: DragEvent) => {
    const [file] = e.dataTransfer.files;
    setOver(false);
    if (!file) return;
    e.preventDefault();
    // this very row takes it: it does not come in as any picture
    e.stopPropagation();
    add.send(file);
  };
  return (
    <div
      onDragEnter={() => setOver(true)}
      onDragOver={(e) => e.preventDefault()}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`rounded-lg ${isOver ? 'outline-2 outline-offset-4 outline-cinnabar' : ''}`}
    >
      <OneStop role="group" aria-label={`Choose ${what}`} className="grid grid-cols-6 gap-1.5">
        {all.map((r) => (
          <button
            key={r.id}
            type="button"
            aria-pressed={chosen?.id === r.id}
            aria-label={r.title}
            title={r.title}
            onClick={() => onChoose(chosen?.id === r.id ? undefined : r)}
            className={`aspect-square overflow-hidden rounded bg-shade ${chosen?.id === r.id ? 'outline-3 outline-offset-1 outline-cinnabar' : ''}`}
          >
            <img src={r.thumbnailUrl} alt="" className="h-full w-full object-cover" />
          </button>
        ))}
        <label
          className={`grid aspect-square cursor-pointer place-content-center rounded border border-dashed border-edge text-center text-sm leading-tight text-muted focus-within:outline-2 focus-within:outline-cinnabar hover:border-ink hover:text-ink ${all.length ? '' : 'col-span-6 aspect-auto! py-4'}`}
        >
          {add.isSending ? '…' : all.length ? 'Yours' : `Drop ${what} here, or choose a file`}
          <input
            type="file"
            accept="image/*"
            aria-label={`${what[0].toUpperCase()}${what.slice(1)} of your own`}
            className="sr-only"
            onChange={(e) => {
              if (e.target.files?.[0]) add.send(e.target.files[0]);
              e.target.value = '';
            }}
          />
        </label>
      </OneStop>
    </div>
  );
}

/** Takes a picture of one's own into the library as a kind, and answers the reference. */
function useOwnPicture(kind: Reference['kind'], onThere: (reference: Reference) => void) {
  const tell = useNotice();
  const [isSending, setSending] = useState(false);
  const send = (file: File) => {
    setSending(true);
    const body = new FormData();
    body.append('file', file, file.name);
    body.append('kind', kind);
    void ask(api.POST('/api/v1/references', { body: body as never, bodySerializer: (b: unknown) => b as FormData }))
      .then(({ reference }) => onThere(reference))
      .catch((error: Error) => tell(error.message, { grave: true }))
      .finally(() => setSending(false));
  };
  return { isSending, send };
}
