import { literalAt, meanShares, type Channel, type Influence, type Reading, type Weighing } from '@urbild/core';
import type { ShareRecord } from '../contract/result';
import type { AppliedLog } from './applied';

/** An influence as the engine takes it: the formula's numbers, and how closely it is read. */
export interface ReadInfluence extends Influence {
  readonly reading: Reading;
}

/** One level of the synthesis, coarse to fine. */
export interface LevelPlan {
  /** Part of the full size. */
  readonly part: number;
  /** Per influence: share of the surface at this level. */
  readonly surface: readonly number[];
  /** Per influence: how far the picture itself is pulled at this level (gives everything, above weight .5). */
  readonly literal: readonly number[];
  readonly over: number;
}

/** Everything about a render that follows from the mix alone. */
export interface SynthesisPlan extends AppliedLog {
  /** Per influence: share of the palette, whole course. */
  readonly colour: readonly number[];
  /** Sum of the pulls on the palette where it is above 1, else 1. */
  readonly colourOver: number;
  /** The same for the layout. */
  readonly layoutOver: number;
  /** Per influence: share of the layout. */
  readonly layout: readonly number[];
  /** Per influence: share of the pose, and of what a thing is. */
  readonly pose: readonly number[];
  readonly identity: readonly number[];
  readonly levels: readonly LevelPlan[];
  /** How much stage detail is given back at the end, 0..1. */
  readonly detail: number;
  /** The shares by the formula. */
  readonly log: readonly ShareRecord[];
}

const PARTS = [1 / 8, 1 / 4, 1 / 2, 1] as const;

/** How much of the fine detail that matching loses is given back: where something is read closely, and else. */
const DETAIL = { close: 0.6, usual: 0.35 };

/** What a reading leaves of a surface share: a hint brings no strokes, a loose reading no fine level. */
function readSurface(reading: Reading, level: number, levels: number): number {
  if (reading === 'hint') return 0;
  if (reading === 'loose' && level === levels - 1) return 0;
  return 1;
}

/** Plans a render: which share acts where, from the formula of influence and nothing else. */
export function planSynthesis(influences: readonly ReadInfluence[], balance: number): SynthesisPlan {
  const mix: Weighing = { influences, balance };
  const log: ShareRecord[] = [];
  const take = (channel: Channel, from: number, to: number) => {
    const mean = meanShares(mix, channel, from, to);
    log.push({ channel, from, to, ...mean });
    return mean;
  };
  const unlessHint = (shares: readonly number[], hinted: (share: number) => number) =>
    shares.map((s, i) => (influences[i].reading === 'hint' ? hinted(s) : s));
  const nothing = () => 0;
  const half = (s: number) => s / 2;
  const { influences: colours, over: colourOver } = take('colour', 0, 1);
  const colour = unlessHint(colours, half);
  const { influences: layouts, over: layoutOver } = take('layout', 0, 1);
  const layout = unlessHint(layouts, nothing);
  const pose = unlessHint(take('pose', 0, 1).influences, nothing);
  const identity = unlessHint(take('identity', 0, 1).influences, half);
  const n = PARTS.length;
  const levels = PARTS.map((part, l): LevelPlan => {
    const [from, to] = [l / n, (l + 1) / n];
    const { influences: shares, over } = take('surface', from, to);
    return {
      part,
      over,
      surface: shares.map((s, i) => s * readSurface(influences[i].reading, l, n)),
      literal: influences.map((i) => literalAt(i, balance, l, n)),
    };
  });
  const close = influences.some((i) => i.on && i.weight > 0 && i.reading === 'close');
  return {
    colour,
    colourOver,
    layoutOver,
    layout,
    pose,
    identity,
    levels,
    detail: close ? DETAIL.close : DETAIL.usual,
    log,
    applied: [],
  };
}
