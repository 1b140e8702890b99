import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, ServerProblem, type Mix } from '../../api/client';
import { keys } from '../../api/keys';

import { useNotice } from '../../parts/notices';

/** What of a mix is edited on the bench. */
export type Edited = Pick<Mix, 'name' | 'prompt' | 'avoid' | 'settings' | 'influences'>;
export type Change = (mix: Edited) => Edited;

/** Milliseconds until a change is saved: at once after a drag, when the hand rests in one, when the typing rests. */
const AUTOSAVE = { done: 4, live: 160, typed: 350 };
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
  const [saved, setSaved] = useState(() => ({ state: editedOf(stored), version: stored.version }));
  const [past, setPast] = useState<readonly Edited[]>([]);
  const [future, setFuture] = useState<readonly Edited[]>([]);
  // what event handlers and timers see: the newest state, without waiting for the next render
  const now = useRef({
    mix,
    saved,
    onSaved,
    beforeDrag: undefined as Edited | undefined,
    saving: undefined as Promise<void> | undefined,
    typed: false,
  });
  const put = useCallback((next: Edited) => {
    now.current.mix = next;
    setMix(next);
  }, []);
  const settle = useCallback((state: Edited, version: number) => {
    now.current.saved = { state, version };
    setSaved({ state, version });
  }, []);
  useEffect(() => {
    now.current.onSaved = onSaved;
  });

  // somebody else (or another window) changed the mix while nothing here was unsaved
  useEffect(() => {
    const { mix: here, saved: before } = now.current;
    if (stored.version <= before.version || !same(here, before.state)) return;
    settle(editedOf(stored), stored.version);
    put(editedOf(stored));
  }, [stored, put, settle]);

  const write = useCallback(async (): Promise<void> => {
    const { mix: state, saved: before } = now.current;
    if (same(state, before.state)) return;
    try {
      const answer = await ask(
        api.PATCH('/api/v1/mixes/{id}', {
          params: { path: { id: stored.id } },
          body: { ...state, version: before.version },
        }),
      );
      settle(state, answer.version);
      client.setQueryData<Mix[]>(keys.mixes, (all) => all?.map((m) => (m.id === answer.id ? answer : m)));
      now.current.onSaved();
    } catch (error) {
      const current =
        error instanceof ServerProblem && error.status === 409 ? (error.current as Mix | undefined) : undefined;
      if (current) {
        settle(editedOf(current), current.version);
        put(editedOf(current));
      }
      tell((error as Error).message, { grave: true });
    }
  }, [client, put, settle, stored.id, tell]);

  const save = useCallback(async (): Promise<void> => {
    await now.current.saving;
    const writing = write();
    now.current.saving = writing;
    await writing;
  }, [write]);

  const dirty = !same(mix, saved.state);
  useEffect(() => {
    if (!dirty) return;
    const { beforeDrag, typed } = now.current;
    const timer = setTimeout(() => void save(), beforeDrag ? AUTOSAVE.live : typed ? AUTOSAVE.typed : AUTOSAVE.done);
    return () => clearTimeout(timer);
  }, [dirty, mix, save]);

  const change = useCallback(
    (make: Change, live = false) => {
      const before = now.current.mix;
      const next = make(before);
      now.current.typed = next.prompt !== before.prompt || next.name !== before.name;
      if (live) now.current.beforeDrag ??= before;
      else {
        const from = now.current.beforeDrag ?? before;
        now.current.beforeDrag = undefined;
        if (!same(from, next)) {
          setPast((all) => [...all.slice(-UNDO_STEPS), from]);
          setFuture([]);
        }
      }
      put({ ...next });
    },
    [put],
  );
  const undo = useCallback(() => {
    const target = past[past.length - 1];
    if (!target) return;
    const left = now.current.mix;
    setPast(past.slice(0, -1));
    setFuture((all) => [...all, left]);
    put(target);
  }, [past, put]);
  const redo = useCallback(() => {
    const target = future[future.length - 1];
    if (!target) return;
    const left = now.current.mix;
    setFuture(future.slice(0, -1));
    setPast((all) => [...all, left]);
    put(target);
  }, [future, put]);
  return { mix, dirty, change, save, undo, redo, canUndo: past.length > 0, canRedo: future.length > 0 };
}
