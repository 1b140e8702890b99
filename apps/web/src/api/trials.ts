import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { merge } from '@urbild/core';
import { useNotice } from '../parts/notices';
import { api, ask, type MixInfluence, type MixSettings, type Take } from './client';
import { mixDocument, takeDocument, takeFields } from './documents';
import { keys } from './keys';
import { exclusive, type Marks } from './marked';

export type Strip = Schemas['StripDto'];
export type StripAxis = Schemas['AxisDto'];
export type Solve = Schemas['SolveDto'];
export type MixVersion = Schemas['MixVersionDto'];
export type InForce = Schemas['InForceDto'];
export type Worked = Schemas['WorkedDto'];
export type MixMask = Schemas['MixMaskDto'];

/** What of a mix makes a picture. */
export interface MixState {
  readonly prompt: string;
  readonly avoid: string;
  readonly settings: MixSettings;
  readonly influences: readonly MixInfluence[];
}

export const useStrips = (mixId: string) =>
  useQuery({
    queryKey: keys.strips(mixId),
    queryFn: () => ask(api.GET('/api/v1/strips', { params: { query: { mixId } } })),
  });

/** Makes a strip and puts its takes in line. */
export function useNewStrip(mixId: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (wish: { axes: StripAxis[]; name?: string; quality?: Take['quality'] }) =>
      ask(api.POST('/api/v1/strips', { body: { mixId, ...wish } })),
    onSuccess: (strip) =>
      client.setQueryData<Strip[]>(keys.strips(mixId), (all) => [
        strip,
        ...(all ?? []).filter((s) => s.id !== strip.id),
      ]),
    onError: (e) => tell(e.message, { grave: true }),
  });
}

export const useSolves = (mixId: string) =>
  useQuery({
    queryKey: keys.solves(mixId),
    queryFn: () => ask(api.GET('/api/v1/solves', { params: { query: { mixId } } })),
  });

export const useVersions = (mixId: string) =>
  useQuery({
    queryKey: keys.versions(mixId),
    queryFn: () => ask(api.GET('/api/v1/mixes/{id}/versions', { params: { path: { id: mixId } } })),
  });

export const useInForce = (mixId: string, quality: Take['quality']) =>
  useQuery({
    queryKey: keys.inForce(mixId, quality),
    staleTime: 0,
    queryFn: () => ask(api.GET('/api/v1/takes/in-force/{mixId}', { params: { path: { mixId }, query: { quality } } })),
  });

/** The weights with which things were in kept takes, by their id. */
export function useWorked(ids: readonly string[]): ReadonlyMap<string, Worked> {
  const wanted = [...new Set(ids)].sort();
  const { data } = useQuery({
    queryKey: keys.worked(wanted.join()),
    enabled: wanted.length > 0,
    queryFn: () => ask(api.GET('/api/v1/takes/worked', { params: { query: { ids: wanted.join() } } })),
  });
  return new Map((data ?? []).map((w) => [w.referenceId, w]));
}

/** Changes what is said of a take: at once on the screen, taken back with a message when refused. */
export function useChangeTake() {
  const client = useQueryClient();
  const tell = useNotice();
  return {
    mutate: ({ take, change }: { take: Take; change: Marks }) => {
      const queue = takeDocument(take, 'takes', (fields, saved) => {
        const shown = (t: Take): Take => (t.id === take.id ? { ...(saved ?? t), ...fields } : t);
        client.setQueryData<Take>(keys.take(take.id), (t) => t && shown(t));
        client.setQueriesData<Take[]>({ queryKey: ['takes'], predicate: (q) => Array.isArray(q.state.data) }, (all) =>
          all?.map(shown),
        );
        if (saved) void client.invalidateQueries({ queryKey: ['worked'] });
      });
      queue.listen({ onRefused: (reason) => tell(reason, { grave: true }) });
      queue.set(exclusive(change), takeFields(take));
    },
  };
}

/** Lays a whole state on a mix, wherever it lies open; the notice takes it back. */
export function useAdopt(mixId: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return async (state: MixState, says: string): Promise<boolean> => {
    try {
      const queue = mixDocument(client, await ask(api.GET('/api/v1/mixes/{id}', { params: { path: { id: mixId } } })));
      const { prompt, avoid, settings, influences } = state;
      const before = queue.view().state;
      queue.change((mix) => ({ ...mix, prompt, avoid, settings, influences: [...influences] }));
      const after = queue.view().state;
      await queue.flush();
      const undo = () => queue.change((mix) => merge(after, before, mix).merged);
      tell(says, { action: { label: 'Undo', run: undo } });
      return true;
    } catch (e) {
      tell((e as Error).message, { grave: true });
      return false;
    }
  };
}

/** Sends a painted mask; answers the name by which mixes know it. */
export async function sendMask(png: Blob): Promise<{ content: string; url: string; covers: number }> {
  const form = new FormData();
  form.append('file', png, 'mask.png');
  const response = await fetch('/api/v1/masks', { method: 'POST', body: form });
  const answer = (await response.json()) as { content: string; url: string; covers: number; detail?: string };
  if (!response.ok) throw new Error(answer.detail ?? 'The mask could not be kept. Try again.');
  return answer;
}
