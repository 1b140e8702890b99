import { useState } from 'react';
import type { MixInfluence } from '../../api/client';
import { alone, changed, moved } from './influences';
import type { Change } from './useBenchMix';

/** What is done to influences on the course, and which of them are scaled together. */
export function useCourseActs(change: (change: Change, live?: boolean) => void) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const influences = (make: (all: readonly MixInfluence[]) => MixInfluence[], live?: boolean) =>
    change((m) => ({ ...m, influences: make(m.influences) }), live);
  return {
    chosen,
    choose: (id: string) =>
      setChosen((all) => new Set(all.has(id) ? [...all].filter((one) => one !== id) : [...all, id])),
    set: (id: string, fields: Partial<MixInfluence>, live = false) =>
      influences((all) => changed(all, id, fields, chosen), live),
    solo: (id: string) => influences((all) => alone(all, id)),
    remove: (id: string) => influences((all) => all.filter((i) => i.id !== id)),
    move: (id: string, by: number) => influences((all) => moved(all, id, by)),
    say: (prompt: string) => change((m) => ({ ...m, prompt })),
  };
}

export type CourseActs = ReturnType<typeof useCourseActs>;
