import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, ServerProblem, type Mix } from '../../api/client';
import { keys } from '../../api/queries';
import { useNotice } from '../../parts/notices';

/** What of a mix is edited on the bench. */
export type Edited = Pick<Mix, 'name' | 'prompt' | 'avoid' | 'settings' | 'influences'>;
export type Change = (mix: Edited) => Edited;

const AUTOSAVE = 350;
const UNDO_STEPS = 200;

const editedOf = ({ name, prompt, avoid, settings, influences }: Mix): Edited => ({
  name,
  prompt,
  avoid,
  settings,
  influences,
});
const same = (a: Edited, b: Edited) => JSON.stringify(a) === JSON.stringify(b);

export interface BenchMix {
  readonly mix: Edited;
  /** Not yet saved. */
  readonly dirty: boolean;
  /** Changes the mix; while `live` (a drag) no undo step is made, the end of the drag makes one. */
  readonly change: (change: Change, live?: boolean) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Saves now and resolves when the server has it. */
  readonly save: () => Promise<void>;
}

/**
 * The mix on the bench: edits show at once, are saved by themselves, can be undone and redone. A write that was
 * overtaken takes over the newer state and says so; nothing is overwritten.
 */
export function useBenchMix(stored: Mix, onSaved: () => void): BenchMix {
  const client = useQueryClient();
  const tell = useNotice();
  const [mix, setMix] = useState<Edited>(() => editedOf(stored));
  const [past, setPast] = useState<readonly Edited[]>([]);
  const [future, setFuture] = useState<readonly Edited[]>([]);
  const saved = useRef({ state: editedOf(stored), version: stored.version });
  const latest = useRef(mix);
  const beforeDrag = useRef<Edited | undefined>(undefined);
  const saving = useRef<Promise<void> | undefined>(undefined);
  const afterSave = useRef(onSaved);
  useEffect(() => {
    latest.current = mix;
    afterSave.current = onSaved;
  });

  // somebody else (or another window) changed the mix while nothing here was unsaved
  useEffect(() => {
    if (stored.version <= saved.current.version) return;
    const clean = same(latest.current, saved.current.state);
    if (!clean) return;
    saved.current = { state: editedOf(stored), version: stored.version };
    setMix(editedOf(stored));
  }, [stored]);

  const write = useCallback(async (): Promise<void> => {
    const state = latest.current;
    if (same(state, saved.current.state)) return;
    try {
      const answer = await ask(
        api.PATCH('/api/v1/mixes/{id}', {
          params: { path: { id: stored.id } },
          body: { ...state, version: saved.current.version },
        }),
      );
      saved.current = { state, version: answer.version };
      client.setQueryData<Mix[]>(keys.mixes, (all) => all?.map((m) => (m.id === answer.id ? answer : m)));
      afterSave.current();
    } catch (error) {
      const current =
        error instanceof ServerProblem && error.status === 409 ? (error.current as Mix | undefined) : undefined;
      if (current) {
        saved.current = { state: editedOf(current), version: current.version };
        setMix(editedOf(current));
      }
      tell((error as Error).message, { grave: true });
    }
  }, [client, stored.id, tell]);

  const save = useCallback(async (): Promise<void> => {
    await saving.current;
    saving.current = write().finally(() => (saving.current = undefined));
    await saving.current;
  }, [write]);

  const dirty = !same(mix, saved.current.state);
  useEffect(() => {
    if (!dirty || beforeDrag.current) return;
    const timer = setTimeout(() => void save(), AUTOSAVE);
    return () => clearTimeout(timer);
  }, [dirty, mix, save]);

  const remember = (state: Edited) => {
    setPast((all) => [...all.slice(-UNDO_STEPS), state]);
    setFuture([]);
  };
  const change = useCallback((make: Change, live = false) => {
    const before = latest.current;
    const next = make(before);
    if (live) beforeDrag.current ??= before;
    else {
      const from = beforeDrag.current ?? before;
      beforeDrag.current = undefined;
      if (!same(from, next)) remember(from);
    }
    latest.current = next;
    setMix({ ...next });
  }, []);
  const travel = (from: readonly Edited[], setFrom: typeof setPast, setTo: typeof setPast) => () => {
    const target = from[from.length - 1];
    if (!target) return;
    setFrom(from.slice(0, -1));
    setTo((all) => [...all, latest.current]);
    latest.current = target;
    setMix(target);
  };
  return {
    mix,
    dirty,
    change,
    save,
    undo: travel(past, setPast, setFuture),
    redo: travel(future, setFuture, setPast),
    canUndo: past.length > 0,
    canRedo: future.length > 0,
  };
}
