import {
  GIVES,
  pictureFromRgba,
  pictureToRgba,
  resample,
  resampleToLongSide,
  type Mask,
  type Picture,
} from '@urbild/core';
import { RenderStopped, type Capabilities, type Engine, type PictureSource, type StopSignal } from './contract/engine';
import { RequestError } from './contract/readRequest';
import { MAX_SIDE, type RenderRequest } from './contract/request';
import type { Outline, RenderProgress, RenderResult } from './contract/result';
import type { LoadedPicture } from './gives/action';
import { figureFaults } from './render/figureFaults';
import { figuresOf } from './render/figures';
import { bytesThrough, maskOf, through } from './render/masks';
import { outlinesOf } from './render/outlines';
import { renderPass } from './render/pass';
import { paintScene } from './render/scene';
import { wordsFound } from './render/wordsFound';
import type { MatchHelper } from './synthesis/tiles';
import { planSynthesis } from './synthesis/plan';

const PREVIEW_SIDE = 192;

/** The engine that ships with Urbild: painter, then synthesis. Runs anywhere, offline. */
export class BuiltInEngine implements Engine {
  /** `helper`, asked at every render, may do half of the work on another core; the bytes are the same. */
  constructor(private readonly helper: () => MatchHelper | undefined = () => undefined) {}

  capabilities(): Capabilities {
    return { name: 'urbild', version: '0.10.3', gives: GIVES, maxSide: MAX_SIDE };
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
    const { width, height } = request;
    if (request.mask && !request.start)
      throw new RequestError('mask: only with a start picture, of which it holds a part');
    const start = request.start && fitted(await pictures(request.start.content), width, height);
    if (request.hold && !request.frame)
      throw new RequestError('hold: only with a frame, which says how the sequence moves');
    const held = request.hold && fitted(await pictures(request.hold.content), width, height);
    const free = request.mask && maskOf(await pictures(request.mask.content), request.mask, width, height);
    const given = { start, free, held };
    const loaded = await loadPictures(request, pictures);
    const regions = await loadMasks(request, pictures);
    lap('references');
    checkpoint();
    const passes = 1 + regions.length;
    const helper = this.helper();
    const context = (nth: number) => ({
      checkpoint,
      helper,
      lap,
      onStep: (step: string, fraction: number, picture: Picture) => {
        onProgress({
          step,
          fraction: (nth + fraction) / passes,
          get preview() {
            const small = resampleToLongSide(picture, Math.min(PREVIEW_SIDE, Math.max(picture.width, picture.height)));
            return { width: small.width, height: small.height, rgba: pictureToRgba(small) };
          },
        });
        lap(step.replace(/ of .*/, ''));
      },
    });
    // what is bound to a region acts there and takes nothing from the others elsewhere
    const passWith = (bound: readonly number[], nth: number) => {
      const acts = (i: number) => request.influences[i].region === undefined || bound.includes(i);
      const influences = request.influences.map((one, i) => (acts(i) ? one : { ...one, on: false }));
      const pictures = loaded.filter((p) => acts(p.influence));
      return renderPass({ ...request, influences }, pictures, given, context(nth));
    };
    const base = passWith([], 0);
    let { picture } = base;
    // once more with what is bound to a region, seen through its mask
    for (const [nth, { mask, influences }] of regions.entries())
      picture = through(mask, passWith(influences, nth + 1).picture, picture);
    const rgba = finished(request, picture, start, free);
    const words = start
      ? wordsFound(base, pictureFromRgba(rgba, width, height), request.mask ? 'within a mask' : 'with a picture')
      : wordsFound(base, picture);
    lap('finish');
    return {
      width,
      height,
      rgba,
      labels: base.labels,
      shares: [...planSynthesis(request.influences, request.balance).log, ...base.log.filter((r) => r.part)],
      applied: base.applied,
      understood: words.understood,
      notDrawn: words.notDrawn,
      words: words.found,
      unheard: base.brief.unheard,
      remarks: base.remarks,
      faults: figureFaults(base.brief, base.figures, base.labels, width, height),
      figures: figuresOf(base, picture),
      sheets: Object.fromEntries(base.sheets),
      timings,
    };
  }

  /** The outlines of the stage of a request: what is bound to a region, and a start picture, change none of them. */
  async outlines(request: RenderRequest, pictures: PictureSource): Promise<readonly Outline[]> {
    const loaded = await loadPictures(request, pictures);
    const free = loaded.filter((p) => request.influences[p.influence].region === undefined);
    const { stage } = paintScene(request, planSynthesis(request.influences, request.balance), free, () => {});
    return outlinesOf(stage.seen, stage.labels());
  }
}

/** The bytes of a finished picture: what may not change of a start picture is copied from it. */
function finished(
  { start: begun }: RenderRequest,
  picture: Picture,
  start: Picture | undefined,
  free: Float32Array | undefined,
): Uint8ClampedArray {
  if (!start) return pictureToRgba(picture);
  const bytes = pictureToRgba(start);
  if (begun?.change === 0) return bytes;
  return free ? bytesThrough(free, picture, start, bytes) : pictureToRgba(picture);
}

const fitted = (picture: Picture, width: number, height: number): Picture =>
  picture.width === width && picture.height === height ? picture : resample(picture, width, height);

/** The pictures of all influences that pull on anything. */
async function loadPictures(request: RenderRequest, pictures: PictureSource): Promise<LoadedPicture[]> {
  const loaded: LoadedPicture[] = [];
  for (const [influence, { on, weight, pictures: told }] of request.influences.entries()) {
    if (!on || weight <= 0 || request.balance <= 0) continue;
    const total = told.reduce((s, p) => s + p.weight, 0);
    for (const p of told)
      if (p.weight > 0) loaded.push({ influence, part: p.weight / total, told: p, picture: await pictures(p.content) });
  }
  return loaded;
}

interface LoadedRegion {
  readonly mask: Float32Array;
  readonly influences: readonly number[];
}

/** The masks that influences are bound to; influences of one mask go together. */
async function loadMasks(request: RenderRequest, pictures: PictureSource): Promise<LoadedRegion[]> {
  const found = new Map<string, { region: Mask; influences: number[] }>();
  request.influences.forEach((i, k) => {
    if (!i.region || !i.on || i.weight <= 0) return;
    const key = JSON.stringify(i.region);
    const known = found.get(key) ?? { region: i.region, influences: [] };
    known.influences.push(k);
    found.set(key, known);
  });
  const out: LoadedRegion[] = [];
  for (const { region, influences } of found.values())
    out.push({
      mask: maskOf(await pictures(region.content), region, request.width, request.height),
      influences,
    });
  return out;
}
