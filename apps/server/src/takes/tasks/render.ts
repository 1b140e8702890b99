import {
  blendDescriptors,
  decodeDescriptors,
  describe,
  encodeDescriptors,
  measureArrival,
  pictureFromRgba,
  pictureToRgba,
  resampleToLongSide,
  unaskedIn,
  wordsKept,
  type Arrival,
  type Descriptors,
  type FoundWord,
  type NotDrawn,
  type Picture,
  type TextSpan,
  type TraitSheet,
  type Unasked,
  type UnderstoodSpan,
} from '@urbild/core';
import {
  arrangementArrival,
  BuiltInEngine,
  figureDistances,
  RenderStopped,
  seenReference,
  strangerPictures,
  skyOf,
  type Engine,
  type InfluenceRemark,
  type Raster,
  type RenderedFigure,
  type RenderRequest,
  type RequestInfluence,
  type RenderResult,
  type ShareRecord,
} from '@urbild/engine';
import { readFile } from 'fs/promises';
import sharp from 'sharp';
import { blobPath } from '../../platform/blobs/blobStore';
import { small, thumbnailOf } from '../../platform/pictures/decode';
import { KEPT_PICTURES, pictureOf } from './enginePictures';
import { HelperThread } from './matchHelper';
import { encodePng } from '../../platform/pictures/encodePng';
import type { Stoppable, TaskFailure } from '../../platform/workers/task';

/** A reference as it is measured against. */
export interface MeasuredReference {
  readonly influence: string;
  /** Hashes of the descriptors of its pictures, with their parts of the weight. */
  readonly pictures: readonly { readonly descriptors: string; readonly weight: number }[];
  /** What is known of others of the cast, who could be taken for whoever it shows. */
  readonly people?: readonly TraitSheet[];
}

export interface RenderTask extends Stoppable {
  readonly request: RenderRequest;
  readonly blobDir: string;
  /** Hash of the control's descriptors; absent for a control itself. */
  readonly control?: string;
  /** Hash of the control's picture; absent where nobody wants to know what came unasked. */
  readonly controlPicture?: string;
  /** Who was in the control. */
  readonly controlFigures?: readonly RenderedFigure[];
  readonly references: readonly MeasuredReference[];
}

export interface RenderedTake {
  readonly picture: Uint8Array;
  readonly thumbnail: Uint8Array;
  readonly descriptors: Uint8Array;
  readonly shares: readonly ShareRecord[];
  readonly understood: readonly UnderstoodSpan[];
  readonly unheard: readonly TextSpan[];
  readonly timings: Readonly<Record<string, number>>;
  readonly figures: readonly RenderedFigure[];
  readonly remarks: readonly InfluenceRemark[];
  readonly arrivals: Readonly<Record<string, Arrival>>;
  readonly words: readonly FoundWord[];
  readonly notDrawn: readonly NotDrawn[];
  readonly wordsKept?: number;
  readonly unasked: readonly Unasked[];
}

/** What comes through the progress port. */
export interface RenderProgressShown {
  readonly fraction: number;
  readonly step: string;
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
  /** The finished picture as PNG, before it is measured. */
  readonly finished?: Uint8Array;
}

const SHOWN_SIDE = 384;
/** Milliseconds between two pictures of one render's progress: showing more of them takes time from the render itself. */
const BETWEEN_PREVIEWS = 110;
/** A second thread, as long as nobody else needs the core. */
const helper = new HelperThread();
let alone = false;
const engine: Engine = new BuiltInEngine(() => (alone ? helper : undefined));

/** A finished picture as it goes through the progress port: drafts whole, larger ones smaller. */
function shown({ width, height, rgba }: Raster): Pick<RenderProgressShown, 'width' | 'height' | 'rgba'> {
  if (Math.max(width, height) <= SHOWN_SIDE) return { width, height, rgba };
  const less = resampleToLongSide(pictureFromRgba(rgba, width, height), SHOWN_SIDE);
  return { width: less.width, height: less.height, rgba: pictureToRgba(less) };
}

/** Renders a request, encodes and measures it. */
export async function render(task: RenderTask): Promise<RenderedTake | TaskFailure> {
  const flag = new Int32Array(task.stop);
  const signal = {
    get aborted() {
      return Atomics.load(flag, 0) !== 0;
    },
  };
  let told = -Infinity;
  const report = (p: RenderProgressShown) => task.progress.postMessage(p);
  alone = task.alone;
  try {
    const result = await engine.render(
      task.request,
      (hash) => pictureOf(task.blobDir, hash),
      (progress) => {
        const now = performance.now();
        if (now - told < BETWEEN_PREVIEWS) return;
        told = now;
        const { fraction, step, preview } = progress;
        report({ fraction, step, width: preview.width, height: preview.height, rgba: preview.rgba });
      },
      signal,
    );
    const picture = await encodePng(result);
    // the picture is there; what is measured of it comes later
    report({ fraction: 0.97, step: 'being measured', ...shown(result), finished: picture });
    const take = takeOf(result);
    const little = await small(sharpOf(result));
    const whole = little.width === result.width && little.height === result.height;
    const descriptors = describe(whole ? take.pixels : pictureFromRgba(little.data, little.width, little.height));
    return {
      picture,
      thumbnail: await thumbnailOf(little),
      descriptors: encodeDescriptors(descriptors),
      shares: result.shares,
      understood: result.understood,
      unheard: result.unheard,
      timings: result.timings,
      figures: result.figures,
      remarks: result.remarks,
      words: result.words,
      notDrawn: result.notDrawn,
      wordsKept: wordsKept(result.words),
      arrivals: await measure(task, descriptors, take),
      unasked: [...result.faults, ...(await strange(task, take))],
    };
  } catch (error) {
    if (error instanceof RenderStopped) return { failure: 'stopped', message: error.message };
    throw error;
  } finally {
    task.progress.close();
  }
}

/** The pixels of a result, for what is made of them at other sizes. */
const sharpOf = ({ rgba, width, height }: Raster): sharp.Sharp => sharp(rgba, { raw: { width, height, channels: 4 } });

/** A take with its pixels, which are converted when they are first asked for. */
interface Take {
  readonly result: RenderResult;
  readonly pixels: Picture;
}

function takeOf(result: RenderResult): Take {
  let pixels: Picture | undefined;
  return {
    result,
    get pixels() {
      return (pixels ??= pictureFromRgba(result.rgba, result.width, result.height));
    },
  };
}

/** What a take shows that its control does not. */
async function strange({ controlPicture, blobDir }: RenderTask, { pixels, result }: Take): Promise<Unasked[]> {
  if (!controlPicture) return [];
  return unaskedIn({ take: pixels, control: await pictureOf(blobDir, controlPicture), sky: skyOf(result.labels) });
}

const descriptorsOf = async (dir: string, hash: string): Promise<Descriptors> =>
  decodeDescriptors(await readFile(blobPath(dir, hash)));

const controls = new Map<string, Promise<Descriptors>>();

/** What is measured of a control; drafts share one, and what was compared with it once stays known as long as it is kept. */
function controlOf(dir: string, hash: string): Promise<Descriptors> {
  let control = controls.get(hash);
  if (!control) {
    controls.set(hash, (control = descriptorsOf(dir, hash)));
    control.catch(() => controls.delete(hash));
    if (controls.size > KEPT_PICTURES) controls.delete(controls.keys().next().value!);
  }
  return control;
}

const aspectOf = async (dir: string, hash: string): Promise<number> => {
  const { width, height } = await pictureOf(dir, hash);
  return width / height;
};

/** How far the arrangement of a reference that acts by its areas has arrived; nothing for what is measured by its tones. */
async function arrangementOf(
  { controlPicture, blobDir }: RenderTask,
  { gives, pictures: shown }: RequestInfluence,
  { pixels }: Take,
): Promise<{ layout?: { value: number } }> {
  const [strongest] = [...shown].sort((a, b) => b.weight - a.weight);
  if (gives !== 'layout' || strongest.layout) return {};
  const seen = seenReference({ told: strongest, picture: await pictureOf(blobDir, strongest.content) });
  const control = controlPicture === undefined ? undefined : await pictureOf(blobDir, controlPicture);
  const value = arrangementArrival(seen, pixels, control);
  return value === undefined ? {} : { layout: { value } };
}

async function measure(task: RenderTask, descriptors: Descriptors, take: Take): Promise<Record<string, Arrival>> {
  if (!task.control) return {};
  const { result } = take;
  const control = await controlOf(task.blobDir, task.control);
  const arrivals: Record<string, Arrival> = {};
  for (const { influence, pictures, people } of task.references) {
    const asked = task.request.influences.find((i) => i.id === influence);
    if (!asked?.on || asked.weight === 0) continue;
    const parts = pictures.filter((p) => p.weight > 0);
    if (!parts.length) continue;
    const reference = blendDescriptors(
      await Promise.all(
        parts.map(async (p) => ({ descriptors: await descriptorsOf(task.blobDir, p.descriptors), weight: p.weight })),
      ),
    );
    const others = figureDistances({
      influence: asked,
      take: result.figures,
      control: task.controlFigures ?? [],
      sheet: result.sheets[influence],
      people,
      aspect: {
        picture: result.width / result.height,
        reference: await aspectOf(task.blobDir, asked.pictures[0].content),
      },
    });
    arrivals[influence] = measureArrival({
      gives: asked.gives,
      take: descriptors,
      control,
      reference,
      strangers: strangerPictures(),
      others: { ...others, ...(await arrangementOf(task, asked, take)) },
    });
  }
  return arrivals;
}
