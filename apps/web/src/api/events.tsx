import { useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { api, ask, type Studio, type Take } from './client';
import { holdStream } from './heldStream';
import { keys } from './keys';
import { concerns, touchedBy, type StudioEvent, type Touched } from './touched';

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

/** The events for which something is read again, but for those of takes, which show first what they bring. */
const TOUCHING = [
  'reference',
  'import',
  'look',
  'character',
  'project',
  'person',
  'access',
  'comment',
  'presence',
  'collection',
  'shelf',
  'mix',
  'series',
  'strip',
  'solve',
  'sequence',
] as const;

/** Listens to the studio's events: refreshes what changed, keeps the progress of takes. */
export function EventsProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const [progress, setProgress] = useState<ReadonlyMap<string, Progress>>(new Map());
  useEffect(() => {
    // many pictures may come in at once: what they touch is read again a little later, together
    const due = new Map<string, { readonly timer: number; readonly holding?: Set<string> }>();
    const touch = ({ key, exact, holding, below, wait }: Touched) => {
      const name = JSON.stringify([key, exact, !!holding, below]);
      const waiting = due.get(name);
      if (waiting) return holding?.forEach((id) => waiting.holding!.add(id));
      const ids = holding && new Set(holding);
      const timer = window.setTimeout(() => {
        due.delete(name);
        const of = { holding: ids && [...ids], below };
        void client.invalidateQueries({ queryKey: key, exact, predicate: concerns(of, client) });
      }, wait);
      due.set(name, { timer, holding: ids });
    };
    const hear = (event: StudioEvent) => touchedBy(event).forEach(touch);
    const forget = (id: string) =>
      setProgress((all) => {
        const next = new Map(all);
        next.delete(id);
        return next;
      });
    /** A take that is finished: it alone is asked for, and takes its place among those of its mix. */
    const arrive = async (id: string) => {
      const take = await ask(api.GET('/api/v1/takes/{id}', { params: { path: { id } } }));
      client.setQueryData<Take[]>(keys.takes(take.mixId ?? ''), (all) => all?.map((t) => (t.id === id ? take : t)));
    };
    /** The picture of a take is finished: it is shown at once, what is measured of it comes with the take. */
    const finish = (id: string, pictureUrl: string | undefined) =>
      client.setQueriesData<Take[]>({ queryKey: ['takes'], predicate: (q) => Array.isArray(q.state.data) }, (all) =>
        all?.some((t) => t.id === id) ? all.map((t) => (t.id === id ? { ...t, pictureUrl } : t)) : all,
      );
    const listen = (stream: EventSource) => {
      const on = <T,>(type: string, act: (data: T) => void) =>
        stream.addEventListener(type, (e) => act(JSON.parse((e as MessageEvent<string>).data) as T));
      for (const type of TOUCHING) on<StudioEvent>(type, hear);
      on<StudioEvent & { id: string; pictureUrl?: string }>('take', (event) => {
        const { id, status } = event;
        if (status === 'pictured') return finish(id, event.pictureUrl);
        if (status !== 'rendering') forget(id);
        if (status === 'done') void arrive(id).catch(() => touch({ key: ['takes'], wait: 20 }));
        hear(event);
      });
      on<{ id: string } & Progress>('progress', ({ id, ...p }) => setProgress((all) => new Map(all).set(id, p)));
      on<{ demo: Studio['demo'] }>('studio', ({ demo }) => {
        client.setQueryData<Studio>(keys.studio, (s) => s && { ...s, demo });
        if (demo.done >= demo.total) void client.invalidateQueries();
      });
    };
    const letGo = holdStream({
      listen,
      onMissed: () => void client.invalidateQueries(),
      onRefused: () => void client.invalidateQueries({ queryKey: keys.me }),
    });
    return () => {
      letGo();
      due.forEach(({ timer }) => window.clearTimeout(timer));
    };
  }, [client]);
  return <ProgressContext.Provider value={progress}>{children}</ProgressContext.Provider>;
}
