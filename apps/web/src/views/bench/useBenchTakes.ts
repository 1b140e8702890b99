import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useAskForTake, type TakeWish } from '../../api/askForTake';
import { api, ask, type Take } from '../../api/client';
import { keys } from '../../api/keys';
import { useMayHere } from '../../api/projects';
import { useTakes } from '../../api/queries';
import { useNotice } from '../../parts/notices';

/** The takes of the mix on the bench: which one lies on the table, and how others are asked for. */
export interface BenchTakes {
  /** All of them, drafts included; undefined until they have come. */
  readonly all: readonly Take[] | undefined;
  /** Those that stand in the strip: no drafts. */
  readonly kept: readonly Take[];
  readonly shown: Take | undefined;
  readonly isPending: boolean;
  /** Lays one on the table; the address keeps it. */
  readonly show: (take: Take) => void;
  readonly ask: (wish: Omit<TakeWish, 'mixId'>) => void;
  readonly asking: boolean;
  readonly cancel: (take: Take) => void;
  /** Whether a draft follows every change; the address keeps it. */
  readonly follows: boolean;
  readonly setFollows: (on: boolean) => void;
}

const replace = { replace: true } as const;
const set = (before: URLSearchParams, key: string, value: string | undefined) =>
  new URLSearchParams([...[...before].filter(([k]) => k !== key), ...(value === undefined ? [] : [[key, value]])]);

/** The takes of a mix. What was asked for last is shown as it grows, until somebody shows another. */
export function useBenchTakes(mixId: string): BenchTakes {
  const client = useQueryClient();
  const tell = useNotice();
  const [search, setSearch] = useSearchParams();
  const [followed, setFollowed] = useState<string | undefined>(undefined);
  const { data: all, isPending } = useTakes(mixId);
  const { mutate, isPending: asking } = useAskForTake();
  const edits = useMayHere('edit');
  const kept = useMemo(() => (all ?? []).filter((t) => t.quality !== 'draft'), [all]);
  const asked = search.get('take');
  const show = useCallback(
    (take: Take) => {
      setFollowed(undefined);
      setSearch((before) => set(before, 'take', take.id), replace);
    },
    [setSearch],
  );
  const cancel = useCallback(
    (take: Take) =>
      void ask(api.POST('/api/v1/takes/{id}/cancel', { params: { path: { id: take.id } } }))
        .then(() => client.invalidateQueries({ queryKey: keys.takes(mixId) }))
        .catch((e: Error) => tell(e.message, { grave: true })),
    [client, tell, mixId],
  );
  return {
    all,
    kept,
    shown: all?.find((t) => t.id === followed) ?? all?.find((t) => t.id === asked) ?? kept[0] ?? all?.[0],
    isPending,
    show,
    ask: (wish) => mutate({ mixId, ...wish }, { onSuccess: ({ id }) => setFollowed(id) }),
    asking,
    cancel,
    follows: edits && search.get('drafts') !== 'off',
    setFollows: (on) => setSearch((before) => set(before, 'drafts', on ? undefined : 'off'), replace),
  };
}
