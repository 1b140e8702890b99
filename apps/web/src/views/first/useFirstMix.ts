import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { useAskForTake } from '../../api/askForTake';
import type { Mix, MixInfluence, Take } from '../../api/client';
import { mixDocument, type MixFields } from '../../api/documents';
import { useNewMix, useTakes } from '../../api/queries';
import { useNotice } from '../../parts/notices';
import { useOpenDocument } from '../../shared/save/useSaved';

/** The mix of the first steps: made with the first sentence, changed by everything after it, each change followed by a draft. */
export interface FirstMix {
  /** Undefined until the first sentence is drawn. */
  readonly mix: (MixFields & { readonly id: string }) | undefined;
  /** What was asked for last. */
  readonly take: Take | undefined;
  readonly isMaking: boolean;
  /** Draws a sentence with what was chosen. */
  readonly draw: (prompt: string, influences: readonly MixInfluence[]) => void;
  /** Gives an influence another weight, 0..2. */
  readonly weigh: (influence: string, weight: number, live: boolean) => void;
}

/** Milliseconds between a hand that moves a weight and the drafts that follow it. */
const LIVE = 160;

export function useFirstMix(): FirstMix {
  const client = useQueryClient();
  const tell = useNotice();
  const make = useNewMix();
  const [stored, setStored] = useState<Mix>();
  const edited = useOpenDocument(stored ? `mix ${stored.id}` : '');
  const { data: takes } = useTakes(stored?.id);
  const { mutate } = useAskForTake();
  const draft = useCallback((mixId: string) => mutate({ mixId, quality: 'draft' }), [mutate]);
  useEffect(() => {
    if (!stored) return;
    const queue = mixDocument(client, stored);
    queue.listen({
      onSaved: () => draft(stored.id),
      onRefused: (reason) => tell(reason, { grave: true }),
    });
    return () => queue.listen({ onSaved: undefined });
  }, [client, draft, stored, tell]);
  const change = (fields: (before: MixFields) => Partial<MixFields>, live = false) =>
    stored &&
    mixDocument(client, stored).change((now) => ({ ...now, ...fields(now) }), { live, wait: live ? LIVE : 0 });
  const draw = (prompt: string, influences: readonly MixInfluence[]) => {
    if (stored) return change(() => ({ prompt, influences: [...influences] }));
    make.mutate(
      { name: 'My first mix', prompt, influences: [...influences] },
      {
        onSuccess: (mix) => {
          setStored(mix);
          draft(mix.id);
        },
        onError: (error) => tell(error.message, { grave: true }),
      },
    );
  };
  return {
    mix: stored && { ...stored, ...(edited?.state as MixFields | undefined) },
    take: takes?.[0],
    isMaking: make.isPending,
    draw,
    weigh: (influence, weight, live) =>
      change(
        ({ influences }) => ({ influences: influences.map((i) => (i.id === influence ? { ...i, weight } : i)) }),
        live,
      ),
  };
}
