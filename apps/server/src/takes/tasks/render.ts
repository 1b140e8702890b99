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
  type Picture,
  type Unasked,
} from '@urbild/core';
import {
  BuiltInEngine,
  figureDistances,
  paintStage,
  RenderStopped,
  skyOf,
  type Raster,
  type RenderResult,
} from '@urbild/engine';
import { understand } from '@urbild/core';
import { readFile } from 'fs/promises';
import sharp from 'sharp';
import { blobPath } from '../blobs/blobStore';
import { measurable, thumbnailOf } from './decode';
import { HelperThread } from './matchHelper';
import type { PaintTask, RenderTask, RenderTaskResult, TaskFailure, WorkerProgress } from './tasks';

const ENGINE_SIDE = 1536;
const KEPT_PICTURES = 16;
const SHOWN_SIDE = 384;
/** Milliseconds between two pictures of one render's progress: showing more of them takes time from the render itself. */
const BETWEEN_PREVIEWS = 110;
/** A second thread, as long as nobody else needs the core. */
const helper = new HelperThread();
let alone = false;
const engine = new BuiltInEngine(() => (alone ? helper : undefined));
const pictures = new Map<string, Promise<Picture>>();

/** The pixels of a blob as the engine takes them; the last few are kept. */
function pictureOf(dir: string, hash: string): Promise<Picture> {
  let picture = pictures.get(hash);
  if (!picture) {
    picture = sharp(blobPath(dir, hash))
      .resize(ENGINE_SIDE, ENGINE_SIDE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
      .then(({ data, info }) => pictureFromRgba(data, info.width, info.height));
    pictures.set(hash, picture);
    picture.catch(() => pictures.delete(hash));
    if (pictures.size > KEPT_PICTURES) pictures.delete(pictures.keys().next().value!);
  }
  return picture;
}

const encodePng = ({ rgba, width, height }: Raster): Promise<Buffer> =>
  sharp(Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .png({ compressionLevel: 6 })
    .toBuffer();

/** Paints a plate of the demo world from words. */
export async function paint(task: PaintTask): Promise<{ png: Uint8Array }> {
  const { width, height, seed, medium, palette } = task;
  const stage = paintStage(understand(task.prompt), { width, height, seed, medium, palette });
  return { png: await encodePng(stage) };
}

/** A finished picture as it goes through the progress port: drafts whole, larger ones smaller. */
function shown({ width, height, rgba }: Raster): Pick<WorkerProgress, 'width' | 'height' | 'rgba'> {
  if (Math.max(width, height) <= SHOWN_SIDE) return { width, height, rgba };
  const small = resampleToLongSide(pictureFromRgba(rgba, width, height), SHOWN_SIDE);
  return { width: small.width, height: small.height, rgba: pictureToRgba(small) };
}

/** Renders a request, encodes and measures it. */
export async function render(task: RenderTask): Promise<RenderTaskResult | TaskFailure> {
  const flag = new Int32Array(task.stop);
  const signal = {
    get aborted() {
      return Atomics.load(flag, 0) !== 0;
    },
  };
  let told = -Infinity;
  const report = (p: WorkerProgress) => task.progress.postMessage(p);
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
    const descriptors = describe(await measurable(picture));
    return {
      picture,
      thumbnail: await thumbnailOf(picture),
      descriptors: encodeDescriptors(descriptors),
      shares: result.shares,
      understood: result.understood,
      unheard: result.unheard,
      timings: result.timings,
      figures: result.figures,
      remarks: result.remarks,
      ...(await measure(task, descriptors, result)),
      unasked: [...result.faults, ...(await strange(task, result))],
    };
  } catch (error) {
    if (error instanceof RenderStopped) return { failure: 'stopped', message: error.message };
    throw error;
  } finally {
    task.progress.close();
  }
}

/** What a take shows that its control does not. */
async function strange({ controlPicture, blobDir }: RenderTask, result: RenderResult): Promise<Unasked[]> {
  if (!controlPicture) return [];
  const { rgba, width, height, labels } = result;
  const control = await sharp(blobPath(blobDir, controlPicture)).ensureAlpha().raw().toBuffer();
  if (control.length !== rgba.length) return [];
  return unaskedIn({
    take: pictureFromRgba(rgba, width, height),
    control: pictureFromRgba(control, width, height),
    sky: skyOf(labels),
  });
}

const descriptorsOf = async (dir: string, hash: string): Promise<Descriptors> =>
  decodeDescriptors(await readFile(blobPath(dir, hash)));

const aspectOf = async (dir: string, hash: string): Promise<number> => {
  const { width, height } = await pictureOf(dir, hash);
  return width / height;
};

async function measure(
  task: RenderTask,
  take: Descriptors,
  result: RenderResult,
): Promise<{ arrivals: Record<string, Arrival>; wordsKept?: number }> {
  if (!task.control) return { arrivals: {} };
  const control = await descriptorsOf(task.blobDir, task.control);
  const arrivals: Record<string, Arrival> = {};
  const references: Descriptors[] = [];
  for (const { influence, pictures } of task.references) {
    const asked = task.request.influences.find((i) => i.id === influence);
    if (!asked?.on || asked.weight === 0) continue;
    const parts = pictures.filter((p) => p.weight > 0);
    if (!parts.length) continue;
    const reference = blendDescriptors(
      await Promise.all(
        parts.map(async (p) => ({ descriptors: await descriptorsOf(task.blobDir, p.descriptors), weight: p.weight })),
      ),
    );
    references.push(reference);
    const others = figureDistances(asked, result.figures, task.controlFigures ?? [], result.sheets[influence], {
      picture: result.width / result.height,
      reference: await aspectOf(task.blobDir, asked.pictures[0].content),
    });
    arrivals[influence] = measureArrival(asked.gives, take, control, reference, others);
  }
  return { arrivals, wordsKept: wordsKept(take, control, references) };
}
