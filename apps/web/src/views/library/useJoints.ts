import { useRef, useState, type KeyboardEvent } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect, type Gives } from '../../api/references';
import { movedJoint, withoutJoint, type FoundJoint } from './joints';

const STEP = 0.01;
/** ms without another key before a move is kept. */
const KEY_PAUSE = 250;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** The joints of a picture as they are moved; what was moved counts until the engine's own answer is there. */
export function useJoints(reference: Reference, gives: Gives) {
  const correct = useCorrect();
  const [moved, setMoved] = useState<{ readonly of: Gives; readonly joints: FoundJoint[] } | undefined>(undefined);
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const changed = moved?.of === gives ? moved.joints : undefined;
  const joints = changed ?? gives.joints;
  const put = (next: FoundJoint[]) => setMoved({ of: gives, joints: next });
  const save = (next: FoundJoint[], wait = 0) => {
    put(next);
    clearTimeout(waiting.current);
    // a key that is held down is one move
    waiting.current = setTimeout(
      () => correct.mutate({ reference, corrections: { joints: next } }, { onError: () => setMoved(undefined) }),
      wait,
    );
  };
  return {
    joints,
    save,
    /** Shows a joint somewhere else; {@link drop} keeps it. */
    drag: (name: string, x: number, y: number) => put(movedJoint(joints, name, x, y)),
    drop: () => changed && save(changed),
    onKey: (e: KeyboardEvent, { name, x, y }: FoundJoint) => {
      const by = ARROWS[e.key];
      if (!by && e.key !== 'Delete') return;
      e.preventDefault();
      e.stopPropagation();
      save(by ? movedJoint(joints, name, x + by[0], y + by[1]) : withoutJoint(joints, name), KEY_PAUSE);
    },
  };
}
