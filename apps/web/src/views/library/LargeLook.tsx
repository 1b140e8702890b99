import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useReferencesById } from '../../api/references';
import { CompareModes, ComparePictures, type CompareMode } from '../../parts/ComparePictures';

/** The most pictures that are held against each other at once. */
export const MOST_COMPARED = 9;

interface Props {
  readonly id: string | undefined;
  /** All that is found: arrows go on among them. */
  readonly ids: readonly string[];
  /** Those that are chosen: where the one looked at is among several, all of them are shown. */
  readonly selected: readonly string[];
  readonly onGo: (id: string | undefined) => void;
}

/**
 * One picture as large as the window, or those that are chosen under one zoom: beside each other, and two of them under a wipe, in turn
 * or subtracted. The wheel, plus and minus zoom; where the whole picture is seen arrows go on to the next one. Space and Escape close.
 */
export function LargeLook({ id, ids, selected, onGo }: Props) {
  const [mode, setMode] = useState<CompareMode>('beside');
  const compared = id && selected.includes(id) && selected.length > 1 ? selected.slice(0, MOST_COMPARED) : [];
  const shown = id ? (compared.length ? compared : [id]) : [];
  const references = useReferencesById(shown);
  const at = id ? ids.indexOf(id) : -1;
  const go = (key: string): boolean => {
    const to = { ArrowRight: ids[at + 1], ArrowLeft: ids[at - 1] }[key];
    if (!to || compared.length) return false;
    onGo(to);
    return true;
  };
  const pictures = shown.flatMap((one) => {
    const r = references.get(one);
    return r ? [{ url: r.sourceUrl, label: r.title, alt: r.alt, aspect: r.width / r.height }] : [];
  });
  return (
    <Dialog.Root open={!!id} onOpenChange={(open) => !open && onGo(undefined)}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-50 grid grid-rows-[auto_minmax(0,1fr)] gap-2 bg-booth p-4"
          // the picture itself, so that plus and minus are heard at once
          onOpenAutoFocus={(e) => {
            e.preventDefault();
            const content = e.currentTarget as HTMLElement;
            (content.querySelector<HTMLElement>('figure [tabindex]') ?? content).focus();
          }}
          onKeyDown={(e) => {
            const onButton = (e.target as HTMLElement).closest('button');
            if (e.defaultPrevented || (e.key === ' ' && onButton)) return;
            if (e.key === ' ') onGo(undefined);
            else if (!go(e.key)) return;
            e.preventDefault();
          }}
        >
          <div className="flex items-center gap-4 text-caption">
            <Dialog.Title className="min-w-0 flex-1 truncate font-title text-xl">
              {compared.length ? `${compared.length} pictures` : (pictures[0]?.label ?? 'Picture')}
            </Dialog.Title>
            {compared.length > 1 && <CompareModes mode={mode} onMode={setMode} />}
            <Dialog.Close aria-label="Close" className="rounded p-1 hover:bg-caption/15">
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          <ComparePictures key={shown.join()} pictures={pictures} mode={mode} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
