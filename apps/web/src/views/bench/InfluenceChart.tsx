import type { Weighing } from '@urbild/core';
import { useEffect, useRef } from 'react';
import { paintOf } from '../../theme/colours';
import type { Hue } from '../../theme/kinds';
import { useLight } from '../../theme/lighting';
import { sharesFor, type ChartChannel } from './shares';

/** Samples of the course; lines between them are straight: the shortest ramp of a span is five of them long. */
const COLUMNS = 120;
/** How dense the fills of lanes of one kind are, as two hexadecimal digits of alpha. */
const DEPTHS = ['30', '1c', '44'] as const;

/** Above literalness 1 the references are copied more and more closely: hatched, the denser the more. */
function hatchLiteral(
  context: CanvasRenderingContext2D,
  samples: readonly { readonly words: number; readonly over: number }[],
  w: number,
  h: number,
): void {
  context.strokeStyle = `${paintOf('ink')}38`;
  context.lineWidth = 1;
  context.beginPath();
  for (let x = 0; x < w; x += 3) {
    const { over, words } = samples[Math.min(COLUMNS, Math.round((x / w) * COLUMNS))];
    if (over < 1.02) continue;
    const gap = Math.max(5, 16 - 14 * (over - 1));
    const foot = h * (1 - words);
    for (let y = (x % gap) - gap; y < foot; y += gap) {
      if (y < 0) continue;
      context.moveTo(x, y);
      context.lineTo(x + 3, Math.min(foot, y + 3));
    }
  }
  context.stroke();
}

interface ChartProps {
  readonly mix: Weighing;
  readonly channel: ChartChannel;
  readonly hues: readonly Hue[];
}

function drawShares(element: HTMLCanvasElement, { mix, channel, hues }: ChartProps): void {
  const scale = window.devicePixelRatio || 1;
  const w = element.clientWidth;
  const h = element.clientHeight;
  if (element.width !== Math.round(w * scale) || element.height !== Math.round(h * scale)) {
    element.width = Math.round(w * scale);
    element.height = Math.round(h * scale);
  }
  const context = element.getContext('2d')!;
  context.setTransform(scale, 0, 0, scale, 0, 0);
  context.clearRect(0, 0, w, h);
  const samples = Array.from({ length: COLUMNS + 1 }, (_, i) => sharesFor(mix, channel, i / COLUMNS));
  const layers: { hue: Hue; value: (k: number) => number }[] = [
    { hue: 'words', value: (k) => samples[k].words },
    ...hues.map((hue, i) => ({ hue, value: (k: number) => samples[k].influences[i] ?? 0 })),
  ];
  const foot = new Float64Array(COLUMNS + 1);
  for (const [nth, { hue, value }] of layers.entries()) {
    const top = foot.map((f, k) => f + value(k));
    context.beginPath();
    for (let k = 0; k <= COLUMNS; k++) context.lineTo((k / COLUMNS) * w, h * (1 - top[k]));
    for (let k = COLUMNS; k >= 0; k--) context.lineTo((k / COLUMNS) * w, h * (1 - foot[k]));
    context.closePath();
    // lanes of one kind have one hue: each has a depth of its own, and a line between it and the next
    const before = layers.slice(0, nth).filter((l) => l.hue === hue).length;
    context.fillStyle = `${paintOf(hue)}${hue === 'words' ? '14' : DEPTHS[before % DEPTHS.length]}`;
    context.fill();
    if (hue !== 'words') {
      context.beginPath();
      for (let k = 0; k <= COLUMNS; k++) context.lineTo((k / COLUMNS) * w, h * (1 - top[k]));
      context.strokeStyle = `${paintOf(hue)}66`;
      context.lineWidth = 1;
      context.stroke();
    }
    foot.set(top);
  }
  hatchLiteral(context, samples, w, h);
}

/** The shares over the course, stacked: the words at the foot, the references above, in the mix's order. */
export function InfluenceChart({ mix, channel, hues }: ChartProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const light = useLight();
  const shown = useRef<ChartProps | undefined>(undefined);
  useEffect(() => {
    shown.current = { mix, channel, hues };
    drawShares(canvas.current!, shown.current);
  }, [mix, channel, hues, light]);
  // one watcher for good: a new one for every weight would draw everything twice
  useEffect(() => {
    const element = canvas.current!;
    const watcher = new ResizeObserver(() => {
      const changed =
        element.width !== Math.round(element.clientWidth * (window.devicePixelRatio || 1)) ||
        element.height !== Math.round(element.clientHeight * (window.devicePixelRatio || 1));
      if (changed && shown.current) drawShares(element, shown.current);
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  return <canvas ref={canvas} aria-hidden="true" className="absolute inset-0 h-full w-full" />;
}
