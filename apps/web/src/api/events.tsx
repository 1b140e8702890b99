import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { Studio } from './client';
import { keys } from './queries';

/** How far a take is, while it is rendered. */
export interface Progress {
  readonly fraction: number;
  readonly step: string;
  readonly preview?: string;
}

const ProgressContext = createContext<ReadonlyMap<string, Progress>>(new Map());

/** The progress of a take that is being rendered. */
export const useProgress = (takeId: string | undefined): Progress | undefined => {
  const all = useContext(ProgressContext);
  return takeId ? all.get(takeId) : undefined;
};

/** Listens to the studio's events: refreshes what changed, keeps the progress of takes. */
export function EventsProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const [progress, setProgress] = useState<ReadonlyMap<string, Progress>>(new Map());
  useEffect(() => {
    const source = new EventSource('/api/v1/events');
    const on = <T,>(type: string, act: (data: T) => void) =>
      source.addEventListener(type, (e) => act(JSON.parse((e as MessageEvent<string>).data) as T));
    const refresh = (...key: readonly string[]) => void client.invalidateQueries({ queryKey: key });
    const forget = (id: string) =>
      setProgress((all) => {
        const next = new Map(all);
        next.delete(id);
        return next;
      });
    on('reference', () => refresh('references'));
    on('mix', () => refresh('mixes'));
    on('series', () => refresh('series'));
    on<{ id: string; status: string }>('take', ({ id, status }) => {
      if (status !== 'rendering') forget(id);
      refresh('takes');
      refresh('series');
      refresh('studio');
    });
    on<{ id: string } & Progress>('progress', ({ id, ...p }) => setProgress((all) => new Map(all).set(id, p)));
    on<{ demo: Studio['demo'] }>('studio', ({ demo }) => {
      client.setQueryData<Studio>(keys.studio, (s) => s && { ...s, demo });
      if (demo.done >= demo.total) void client.invalidateQueries();
    });
    // after a pause of the connection anything may have changed
    let lost = false;
    source.onerror = () => (lost = true);
    source.onopen = () => {
      if (lost) void client.invalidateQueries();
      lost = false;
    };
    return () => source.close();
  }, [client]);
  return <ProgressContext.Provider value={progress}>{children}</ProgressContext.Provider>;
}
