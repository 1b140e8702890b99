/** npm run contact-sheet -- --prompts prompts.json --out sheet.jpg [--columns 8] [--width 256] [--height 192] [--seed 7] */
import { createCanvas, ImageData, type Canvas } from '@napi-rs/canvas';
import { understand } from '@urbild/core';
import { readFileSync, writeFileSync } from 'fs';
import path from 'path';
import { parseArgs } from 'util';
import { paintStage } from '@urbild/engine/tools';

/** How plates are put side by side; lengths in px. */
export interface SheetOptions {
  readonly columns: number;
  readonly width: number;
  readonly height: number;
  readonly seed: number;
}

const LINE = 16;

/** The prompts of a file: a list, or named lists one after the other. Throws a TypeError for anything else. */
export function promptsOf(json: unknown): string[] {
  const list = typeof json === 'object' && json ? Object.values(json).flat() : [];
  if (!list.length || !list.every((p) => typeof p === 'string'))
    throw new TypeError('prompts: a list of texts, or an object of such lists');
  return list as string[];
}

/** Paints every prompt at one size and puts the plates in rows, each with its words below it. */
export function contactSheet(prompts: readonly string[], { columns, width, height, seed }: SheetOptions): Canvas {
  const cell = height + LINE;
  const sheet = createCanvas(columns * width, Math.ceil(prompts.length / columns) * cell);
  const context = sheet.getContext('2d');
  context.fillStyle = '#f4f1ea';
  context.fillRect(0, 0, sheet.width, sheet.height);
  context.font = `${LINE * 0.62}px sans-serif`;
  prompts.forEach((prompt, i) => {
    const [x, y] = [(i % columns) * width, Math.floor(i / columns) * cell];
    const { rgba } = paintStage(understand(prompt), { width, height, seed });
    context.putImageData(new ImageData(rgba, width, height), x, y);
    context.fillStyle = '#333';
    const fits = Math.floor(width / (LINE * 0.34));
    context.fillText(prompt.length > fits ? `${prompt.slice(0, fits - 1)}…` : prompt, x + 3, y + height + LINE * 0.72);
  });
  return sheet;
}

function main(): void {
  const { values } = parseArgs({
    options: {
      prompts: { type: 'string' },
      out: { type: 'string' },
      columns: { type: 'string', default: '8' },
      width: { type: 'string', default: '256' },
      height: { type: 'string', default: '192' },
      seed: { type: 'string', default: '7' },
    },
  });
  if (!values.prompts || !values.out) {
    console.error('Both --prompts (a JSON file) and --out (a .jpg or .png file) are needed.');
    process.exit(2);
  }
  const from = process.env.INIT_CWD ?? process.cwd();
  const prompts = promptsOf(JSON.parse(readFileSync(path.resolve(from, values.prompts), 'utf8')));
  const sheet = contactSheet(prompts, {
    columns: Number(values.columns),
    width: Number(values.width),
    height: Number(values.height),
    seed: Number(values.seed),
  });
  const out = path.resolve(from, values.out);
  writeFileSync(out, out.endsWith('.png') ? sheet.toBuffer('image/png') : sheet.toBuffer('image/jpeg', 84));
}

if (require.main === module) main();
