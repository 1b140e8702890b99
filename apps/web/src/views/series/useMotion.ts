import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Shot } from '../../api/client';
import { useNewSequence, type FrameMove, type NewSequence } from '../../api/sequences';
import { WAYS } from '../../shared/pictures/windows';

/** How a shot is set in motion. */
export interface Motion {
  /** Where the camera looks first and last. */
  readonly camera: NonNullable<FrameMove['camera']>;
  /** How far the first figure goes, of the picture's width: -1 to the left .. 1 to the right. */
  readonly across: number;
  /** Words of the last frame; the same words throughout when empty. */
  readonly towards: string;
  readonly frames: number;
  readonly quality: NonNullable<NewSequence['quality']>;
}

/** The motion of a shot as it is thought out, and its sequence made. */
export function useMotion(seriesId: string, shot: Shot) {
  const go = useNavigate();
  const make = useNewSequence(seriesId);
  const [motion, setMotion] = useState<Motion>({
    camera: { from: WAYS[0].from, to: WAYS[0].to },
    across: 0,
    towards: '',
    frames: 12,
    quality: 'draft',
  });
  const { camera, across, frames, quality } = motion;
  const towards = motion.towards.trim() ? motion.towards : undefined;
  const still = JSON.stringify(camera.from) === JSON.stringify(camera.to);
  const begin = () =>
    make.mutate(
      {
        name: shot.title,
        shotId: shot.id,
        frames,
        quality,
        move: {
          ...(still && camera.from.size === 1 ? {} : { camera }),
          ...(across ? { across } : {}),
          ...(towards ? { towards } : {}),
        },
      },
      { onSuccess: (s) => void go(`/sequences/${s.id}`) },
    );
  return {
    motion,
    set: (fields: Partial<Motion>) => setMotion((m) => ({ ...m, ...fields })),
    /** Something moves, and it is not being made already. */
    ready: !(still && !across && !towards) && !make.isPending,
    begin,
  };
}
