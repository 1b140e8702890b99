import { useState, type KeyboardEvent } from 'react';
import type { Reference } from '../../api/client';
import { useCorrect, type EngineView } from '../../api/references';
import { movedJoint, withoutJoint, type FoundJoint } from './joints';

const STEP = 0.01;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** The joints of a picture, also while one is dragged; what is let go is kept and can be undone. */
export function useJoints(reference: Reference, gives: EngineView) {
  const correct = useCorrect();
  const [dragged, setDragged] = useState<FoundJoint[] | undefined>(undefined);
  const joints = dragged ?? gives.joints;
  const save = (next: FoundJoint[]) => correct(reference, { joints: next });
  return {
    joints,
    save,
    /** Shows a joint somewhere else; {@link drop} keeps it. */
    drag: (name: string, x: number, y: number) => setDragged(movedJoint(joints, name, x, y)),
    drop: () => {
      if (dragged) save(dragged);
      setDragged(undefined);
    },
    onKey: (e: KeyboardEvent, { name, x, y }: FoundJoint) => {
      const by = ARROWS[e.key];
      if (!by && e.key !== 'Delete') return;
      e.preventDefault();
      e.stopPropagation();
      save(by ? movedJoint(joints, name, x + by[0], y + by[1]) : withoutJoint(joints, name));
    },
  };
}
