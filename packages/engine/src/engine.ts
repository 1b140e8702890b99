import {
  findHorizon,
  hashText,
  pictureFromRgba,
  pictureToRgba,
  resampleToLongSide,
  understand,
  type Gives,
  type Picture,
  type TextSpan,
  type UnderstoodSpan,
} from '@urbild/core';
import { paintStage } from './painter/paint';
import type { LayoutHints } from './painter/places';
import type { RenderRequest } from './request';
import { planSynthesis, type ShareRecord, type SynthesisPlan } from './synthesis/plan';
import { synthesise, type ReferenceInput } from './synthesis/synthesise';

/** What an engine can do, for the interface and for warnings. */
export interface Capabilities {
  readonly name: string;
  /** Part of what makes a picture: a new version may give other bytes. */
  readonly version: string;
  readonly gives: readonly Gives[];
  readonly maxSide: number;
}

/** 8-bit sRGB, opaque, 4 bytes a pixel. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** How far a render is. */
export interface RenderProgress {
  /** 0..1 */
  readonly fraction: number;
  readonly step: string;
  /** The picture so far, at most 192 px on its longer side. */
  readonly preview: Raster;
}

export interface RenderResult extends Raster {
  /** Region codes of the stage, one a pixel. */
  readonly labels: Uint8Array;
  /** The shares that were used, by channel and part of the course. */
  readonly shares: readonly ShareRecord[];
  readonly understood: readonly UnderstoodSpan[];
  readonly unheard: readonly TextSpan[];
  /** Milliseconds per step. */
  readonly timings: Readonly<Record<string, number>>;
}

/** Polled while rendering; an AbortSignal fits. */
export interface StopSignal {
  readonly aborted: boolean;
}

/** Thrown when a render was stopped by its signal. */
export class RenderStopped extends Error {
  override readonly name = 'RenderStopped';
  constructor() {
    super('The render was stopped');
  }
}

/** Gives the picture of a content hash. Throws when there is none. */
export type PictureSource = (content: string) => Promise<Picture>;

/** The contract between the studio and whatever renders. */
export interface Engine {
  capabilities(): Capabilities;
  /** Renders; the same request gives the same pixels. Throws {@link RenderStopped} within 100 ms of a stop. */
  render(
    request: RenderRequest,
    pictures: PictureSource,
    onProgress?: (progress: RenderProgress) => void,
    signal?: StopSignal,
  ): Promise<RenderResult>;
}

const PREVIEW_SIDE = 192;

/** The engine that ships with Urbild: painter, then synthesis. Runs anywhere, offline. */
export class BuiltInEngine implements Engine {
  capabilities(): Capabilities {
    return { name: 'urbild', version: '0.1.0', gives: ['everything', 'look', 'palette'], maxSide: 2048 };
  }

  async render(
    request: RenderRequest,
    pictures: PictureSource,
    onProgress: (progress: RenderProgress) => void = () => {},
    signal: StopSignal = { aborted: false },
  ): Promise<RenderResult> {
    const checkpoint = () => {
      if (signal.aborted) throw new RenderStopped();
    };
    const timings: Record<string, number> = {};
    let since = performance.now();
    const lap = (name: string) => {
      const now = performance.now();
      timings[name] = (timings[name] ?? 0) + now - since;
      since = now;
    };
    const able = this.capabilities().gives;
    const influences = request.influences.map((i) => ({ ...i, on: i.on && able.includes(i.gives) }));
    const plan = planSynthesis(influences, request.balance);
    const references = await this.#load(request, plan, pictures);
    lap('references');
    checkpoint();
    const brief = understand(request.prompt, request.avoid);
    const { width, height, seed, spread } = request;
    const stage = paintStage(brief, {
      width,
      height,
      seed,
      spread,
      hints: layoutHints(plan, references),
      checkpoint,
    });
    lap('painter');
    const report = (step: string, fraction: number, picture: Picture) => {
      const small = resampleToLongSide(picture, Math.min(PREVIEW_SIDE, Math.max(picture.width, picture.height)));
      onProgress({ step, fraction, preview: { width: small.width, height: small.height, rgba: pictureToRgba(small) } });
      lap(step.replace(/ of .*/, ''));
    };
    const shared = {
      labels: stage.labels,
      shares: plan.log,
      understood: brief.understood,
      unheard: brief.unheard,
      timings,
    };
    const painted = pictureFromRgba(stage.rgba, width, height);
    report('painted', references.length ? 0.15 : 0.95, painted);
    if (!references.length) return { width, height, rgba: stage.rgba, ...shared };
    const picture = synthesise({
      stage: painted,
      labels: stage.labels,
      stageIn: brief.medium
        ? undefined
        : ({ medium, palette }) => pictureFromRgba(stage.paintIn(medium, palette), width, height),
      stageKey: String(
        hashText(
          JSON.stringify([request.prompt, request.avoid, width, height, seed, spread, layoutHints(plan, references)]),
        ),
      ),
      references,
      plan,
      seed,
      checkpoint,
      onStep: report,
    });
    const rgba = pictureToRgba(picture);
    lap('finish');
    return { width, height, rgba, ...shared };
  }

  /** The pictures of all influences that pull on anything. */
  async #load(request: RenderRequest, plan: SynthesisPlan, pictures: PictureSource): Promise<ReferenceInput[]> {
    const references: ReferenceInput[] = [];
    for (const [k, influence] of request.influences.entries()) {
      const heard =
        plan.colour[k] > 0 || plan.layout[k] > 0 || plan.levels.some((l) => l.surface[k] > 0 || l.literal[k] > 0);
      if (!heard) continue;
      const total = influence.pictures.reduce((s, p) => s + p.weight, 0);
      for (const { content, weight, horizon } of influence.pictures) {
        if (weight > 0)
          references.push({ influence: k, part: weight / total, content, picture: await pictures(content), horizon });
      }
    }
    return references;
  }
}

/** What references with a share of the layout say about it. */
function layoutHints(plan: SynthesisPlan, references: readonly ReferenceInput[]): LayoutHints {
  let share = 0;
  let at = 0;
  for (const r of references) {
    const pull = plan.layout[r.influence] * r.part;
    if (pull <= 0) continue;
    const horizon = r.horizon === undefined ? findHorizon(r.picture) : { at: r.horizon, confidence: 1 };
    share += pull * horizon.confidence;
    at += pull * horizon.confidence * horizon.at;
  }
  return share > 0 ? { horizon: { at: at / share, share: Math.min(1, share) } } : {};
}
