import {
  identityChange,
  pictureFromRgba,
  strokeChange,
  timesSteadier,
  type ShotPlan,
  type MixState,
} from '@urbild/core';
import { cameraWindow, readRequest, type FrameMove } from '@urbild/engine';
import { SeriesRig, type RigTake } from './seriesRig';

const FRAMES = 24;
const [WIDTH, HEIGHT] = [480, 320];

const MIX: MixState = {
  prompt: '',
  avoid: '',
  settings: { aspect: '3:2', seed: 1, balance: 1 },
  influences: (
    [
      ['look', 'chalk', 0.8],
      ['character', 'ilse', 1.1],
    ] as const
  ).map(([gives, referenceId, weight]) => ({
    id: gives,
    referenceId,
    gives,
    weight,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  })),
};

const SEQUENCES: readonly (readonly [name: string, plan: ShotPlan, move: FrameMove])[] = [
  [
    'the camera passes a half figure',
    { prompt: 'half figure of a young woman on the pier, morning', seed: 12, own: {} },
    { camera: { from: { x: 0.36, y: 0.5, size: 0.72 }, to: { x: 0.6, y: 0.5, size: 0.72 } } },
  ],
  [
    'she walks along the pier',
    { prompt: 'a young woman walking on the pier, morning', seed: 12, own: {} },
    { across: 0.5 },
  ],
];

/** Sequences of 24 frames, each by itself and held by the middle one: how much strokes and faces change from frame to frame. */
export async function benchSequences(): Promise<void> {
  const rig = new SeriesRig(WIDTH, HEIGHT);
  rig.look('chalk', 'Chalk dusk', 'pastel', ['a mill by the dyke at dusk']);
  rig.character('ilse', 'Ilse', 'Ilse', 'gouache');
  const at = (k: number) => k / (FRAMES - 1);
  const picture = ({ result }: RigTake) => pictureFromRgba(result.rgba, WIDTH, HEIGHT);
  for (const [name, plan, move] of SEQUENCES) {
    const request = rig.request(MIX, plan);
    const free: RigTake[] = [];
    for (let k = 0; k < FRAMES; k++)
      free.push(await rig.render(readRequest({ ...request, frame: { at: at(k), ...move } })));
    const middle = FRAMES >> 1;
    const content = rig.add(`held ${name}`, picture(free[middle]));
    const held: RigTake[] = [];
    for (const [k, take] of free.entries())
      held.push(
        k === middle
          ? take
          : await rig.render(
              readRequest({ ...request, frame: { at: at(k), ...move }, hold: { content, at: at(middle) } }),
            ),
      );
    const unsteady = (takes: readonly RigTake[]) => {
      const pictures = takes.map(picture);
      const steps = pictures.slice(1).map((p, k) => strokeChange(pictures[k], p, cameraWindow(move, at(k), at(k + 1))));
      return {
        strokes: steps.reduce((a, b) => a + b, 0) / steps.length,
        identity: identityChange(takes.map((t) => t.result.figures[0]?.traits ?? {})),
      };
    };
    const [a, b] = [unsteady(free), unsteady(held)];
    const { strokes, identity } = timesSteadier(b, a);
    console.log(`${FRAMES} frames, ${name}: held by one frame against each by itself`);
    console.log(
      `  strokes                              ${a.strokes.toFixed(3)} -> ${b.strokes.toFixed(3)} = ${strokes.toFixed(1)} x steadier  (wanted: 2)`,
    );
    console.log(
      `  who is seen                          ${a.identity?.toFixed(3)} -> ${b.identity?.toFixed(3)} = ${identity?.toFixed(1)} x steadier  (wanted: 2)`,
    );
    if (process.env.URBILD_SHEETS)
      await rig.sheet(
        `${process.env.URBILD_SHEETS}/${plan.seed}-${move.across ?? 'camera'}.png`,
        [free[0], free[middle], free[23], held[0], held[middle], held[23]],
        3,
      );
  }
}

if (require.main === module) void import('reflect-metadata').then(benchSequences);
