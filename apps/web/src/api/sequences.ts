import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '@urbild/api';
import { useNotice } from '../parts/notices';
import { api, ask } from './client';
import { keys } from './keys';

export type Sequence = Schemas['SequenceDto'];
export type Frame = Schemas['FrameDto'];
export type FrameMove = Schemas['FrameMoveDto'];
export type FrameView = Schemas['FrameViewDto'];
export type NewSequence = Schemas['NewSequenceDto'];
export type Steadiness = Schemas['SteadinessDto'];

const at = (id: string) => ({ params: { path: { id } } });

/** The sequences of a series, newest first. */
export const useSequences = (seriesId: string) =>
  useQuery({
    queryKey: keys.sequencesOf(seriesId),
    queryFn: () => ask(api.GET('/api/v1/series/{id}/sequences', at(seriesId))),
  });

export const useSequence = (id: string) =>
  useQuery({ queryKey: keys.sequence(id), queryFn: () => ask(api.GET('/api/v1/sequences/{id}', at(id))) });

/** How steady a sequence is; `finished` says how many of its frames are there, for more can be told of more. */
export const useSteadiness = (id: string, finished: string) =>
  useQuery({
    queryKey: keys.steadiness(id, finished),
    placeholderData: (before) => before,
    queryFn: () => ask(api.GET('/api/v1/sequences/{id}/steadiness', at(id))),
  });

/** Makes a sequence of a shot and answers it. */
export function useNewSequence(seriesId: string) {
  const client = useQueryClient();
  const tell = useNotice();
  return useMutation({
    mutationFn: (wish: NewSequence) => ask(api.POST('/api/v1/series/{id}/sequences', { ...at(seriesId), body: wish })),
    onSuccess: (sequence) => {
      client.setQueryData(keys.sequence(sequence.id), sequence);
      void client.invalidateQueries({ queryKey: keys.sequencesOf(seriesId) });
    },
    onError: (e) => tell(e.message, { grave: true }),
  });
}

/** What is done to a sequence: holding it by a frame, putting it away. */
export function useSequenceActs(id: string) {
  const client = useQueryClient();
  const tell = useNotice();
  const grave = (e: Error) => tell(e.message, { grave: true });
  const refresh = () => client.invalidateQueries({ queryKey: ['sequences'] });
  return {
    holdBy: (frame: number) =>
      ask(api.POST('/api/v1/sequences/{id}/hold', { ...at(id), body: { frame } }))
        .then((s) => void client.setQueryData(keys.sequence(id), s))
        .catch(grave),
    remove: () =>
      ask(api.DELETE('/api/v1/sequences/{id}', at(id)))
        .then(() => {
          const back = () => ask(api.POST('/api/v1/sequences/{id}/restore', at(id))).then(refresh);
          tell('The sequence was archived', { action: { label: 'Undo', run: () => void back().catch(grave) } });
          return refresh();
        })
        .catch(grave),
  };
}
