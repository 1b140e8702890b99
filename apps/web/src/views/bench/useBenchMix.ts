import { useQueryClient } from '@tanstack/react-query';
import { withCalled, withoutCalled, type Conflict } from '@urbild/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Mix } from '../../api/client';
import { mixDocument, mixFields, type MixFields } from '../../api/documents';
import { useCastMembers } from '../../api/sheets';
import { useNotice } from '../../parts/notices';
import { useSaved } from '../../shared/save/useSaved';

/** What of a mix is edited on the bench. */
export type Edited = MixFields;
export type Change = (mix: Edited) => Edited;

/** Milliseconds until a change is saved: at once after a drag, when the hand rests in one, when the typing rests. */
const AUTOSAVE = { done: 4, live: 160, typed: 350 };

export interface BenchMix {
  /** As it is rendered: with everybody whom its words call. */
  readonly mix: Edited;
  /** Not yet saved. */
  readonly dirty: boolean;
  /** Why it is not saved yet; it is tried again by itself. */
  readonly problem?: string;
  /** Fields that somebody else changed too. */
  readonly conflicts: readonly Conflict[];
  readonly decide: (conflict: Conflict, take: 'mine' | 'theirs') => void;
  /** Changes the mix; while `live` (a drag) no undo step is made, the end of the drag makes one. */
  readonly change: (change: Change, live?: boolean) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Saves now and resolves when the server has it. */
  readonly save: () => Promise<void>;
}

/** The mix on the bench, one for as long as the view is there: edits show at once and are saved by its queue, which outlives the view. */
export function useBenchMix(stored: Mix, onSaved: () => void): BenchMix {
  const client = useQueryClient();
  const tell = useNotice();
  const cast = useCastMembers();
  const [queue] = useState(() => mixDocument(client, stored));
  const { state, saved, problem, conflicts, canUndo, canRedo } = useSaved(queue);
  useEffect(() => queue.arrived({ state: mixFields(stored), version: stored.version }), [queue, stored]);
  useEffect(() => {
    queue.listen({ onSaved, onRefused: (reason) => tell(reason, { grave: true }) });
  });
  useEffect(() => () => queue.listen({ onSaved: undefined }), [queue]);
  const change = useCallback(
    (make: Change, live = false) => {
      const before = queue.view().state;
      const next = withoutCalled(before, make(withCalled(before, cast)), cast);
      const typed = next.prompt !== before.prompt || next.name !== before.name;
      queue.change(() => next, { live, typed, wait: live ? AUTOSAVE.live : typed ? AUTOSAVE.typed : AUTOSAVE.done });
    },
    [queue, cast],
  );
  const mix = useMemo(() => withCalled(state, cast), [state, cast]);
  return {
    mix,
    dirty: !saved,
    problem,
    conflicts,
    decide: (conflict, take) => queue.decide(conflict, take),
    change,
    undo: queue.undo,
    redo: queue.redo,
    canUndo,
    canRedo,
    save: () => queue.flush(),
  };
}
