import { access } from 'fs/promises';
import path from 'path';
import sharp from 'sharp';
import { pathToFileURL } from 'url';
import { parentPort } from 'worker_threads';
import { frameOfMesh, headPartOf, type SegmentedPart } from '@urbild/engine';
import { filesOnly } from './filesOnly';
import { mainOf } from './mainFace';

/** A face as the models see it; points as parts of the picture. */
export interface SeenFace {
  readonly score: number;
  /** Left, top, width, height. */
  readonly box: readonly [number, number, number, number];
  /** 468 points of the face mesh (and the irises), x and y. */
  readonly mesh: readonly (readonly [number, number])[];
  /** Degrees. */
  readonly yaw: number;
  readonly roll: number;
  /** Identity: 1024 numbers. */
  readonly embedding: readonly number[];
  /** Who is figure around this head, for the largest face only. */
  readonly part?: SegmentedPart;
}

/** What the models see in a picture. */
export interface Seen {
  readonly faces: readonly SeenFace[];
  readonly joints: readonly { readonly name: string; readonly x: number; readonly y: number; readonly score: number }[];
}

export interface VisionQuestion {
  readonly id: number;
  readonly file: string;
}

export type VisionAnswer = { readonly id: number } & (
  { readonly seen: Seen } | { readonly error: string; readonly unavailable: boolean }
);

interface DetectedFace {
  readonly boxScore: number;
  readonly boxRaw: readonly [number, number, number, number];
  readonly meshRaw: readonly (readonly [number, number, number])[];
  readonly rotation?: { readonly angle?: { readonly yaw: number; readonly roll: number } };
  readonly embedding?: readonly number[];
}

interface Detector {
  load(): Promise<void>;
  detect(
    tensor: unknown,
    config: object,
  ): Promise<{
    face: DetectedFace[];
    body: { keypoints: { part: string; positionRaw: [number, number]; score: number }[] }[];
  }>;
  tf: {
    ready(): Promise<void>;
    loadGraphModel(url: string): Promise<Segmenter>;
    getBackend(): string;
    tensor(data: Int32Array | Float32Array, shape: number[], type: string): unknown;
    dispose(tensor: unknown): void;
  };
  models: { loaded(): string[] };
}

/** A graph model: from a picture of 256 x 256 px, 0..1, to how much each pixel is somebody, 0..1. */
interface Segmenter {
  predict(input: unknown): { dataSync(): Float32Array };
}

/** Small pictures are enlarged to this too: points of the face mesh are whole pixels. */
const SIDE = 1024;
/** What the segmentation model looks at, px. */
const PART = 256;
const MODELS = ['blazeface', 'facemesh', 'iris', 'faceres', 'movenet-lightning'];

/** The segmentation model that comes with the studio: see the notice beside it. */
const OWN_MODEL = path.join(__dirname, '../../../models/selfie');

class Unavailable extends Error {}

// nothing in this thread reaches a network
globalThis.fetch = filesOnly;

/** The folder of an installed package; require.resolve does not reach packages whose exports map leaves out package.json. */
async function folderOf(name: string): Promise<string> {
  for (const dir of require.resolve.paths(name) ?? []) {
    try {
      await access(path.join(dir, name, 'package.json'));
      return path.join(dir, name);
    } catch {
      // the next folder up may have it
    }
  }
  throw new Unavailable(`${name} is not installed`);
}

interface Models {
  readonly detector: Detector;
  readonly segmenter: Segmenter;
}

let loading: Promise<Models> | undefined;

/** Loads the models once. A missing file would kill the thread later, so all are looked for first. */
async function load(): Promise<Models> {
  let root: string;
  let wasm: string;
  try {
    root = await folderOf('@vladmandic/human');
    wasm = path.join(await folderOf('@tensorflow/tfjs-backend-wasm'), 'dist') + path.sep;
    for (const model of MODELS)
      for (const ending of ['.json', '.bin']) await access(path.join(root, 'models', model + ending));
    for (const ending of ['.json', '.bin']) await access(OWN_MODEL + ending);
  } catch {
    throw new Unavailable('The vision models are not installed');
  }
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- its exports map is broken: it has to be loaded by path
  const library = require(path.join(root, 'dist/human.node-wasm.js')) as Record<
    string,
    new (config: object) => Detector
  >;
  const detector = new (library.Human ?? library.default)({
    backend: 'wasm',
    wasmPath: wasm,
    modelBasePath: pathToFileURL(path.join(root, 'models') + path.sep).href,
    debug: false,
    cacheSensitivity: 0,
    skipAllowed: false,
    validateModels: false,
    filter: { enabled: false },
    hand: { enabled: false },
    object: { enabled: false },
    gesture: { enabled: false },
    segmentation: { enabled: false },
    body: { enabled: true, modelPath: 'movenet-lightning.json' },
    face: {
      enabled: true,
      detector: { rotation: true, maxDetected: 5, minConfidence: 0.2 },
      mesh: { enabled: true },
      iris: { enabled: true },
      description: { enabled: true },
      emotion: { enabled: false },
      antispoof: { enabled: false },
      liveness: { enabled: false },
    },
  });
  await detector.load();
  await detector.tf.ready();
  if (detector.tf.getBackend() !== 'wasm' || !detector.models.loaded().includes('blazeface'))
    throw new Unavailable('The vision models cannot run here');
  return { detector, segmenter: await detector.tf.loadGraphModel(pathToFileURL(`${OWN_MODEL}.json`).href) };
}

/** 8-bit sRGB pixels without transparency. */
interface Pixels {
  readonly data: Buffer;
  readonly width: number;
  readonly height: number;
}

async function see(file: string): Promise<Seen> {
  loading ??= load();
  const { detector, segmenter } = await loading;
  const { data, info } = await sharp(file)
    .flatten({ background: '#ffffff' })
    .resize(SIDE, SIDE, { fit: 'inside' })
    .toColourspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const pixels = { data, width: info.width, height: info.height };
  const { face, body } = await detect(detector, pixels, true);
  const faces = facesOf(face.length ? face : await softly(detector, pixels));
  const main = mainOf(faces);
  const part = main && (await segmented(pixels, main, detector, segmenter));
  return {
    faces: faces.map((f) => (f === main ? { ...f, part } : f)),
    joints: (body[0]?.keypoints ?? [])
      .filter((k) => k.score >= 0.3)
      .map((k) => ({ name: k.part, x: k.positionRaw[0], y: k.positionRaw[1], score: k.score })),
  };
}

/** Looks for faces and, where wanted, a body: each look says which, for a detector keeps what it was last told. */
async function detect(detector: Detector, { data, width, height }: Pixels, body: boolean) {
  const tensor = detector.tf.tensor(Int32Array.from(data), [1, height, width, 3], 'int32');
  try {
    return await detector.detect(tensor, { body: { enabled: body } });
  } finally {
    detector.tf.dispose(tensor);
  }
}

/** How much a picture without a face is softened before it is looked at again, px of {@link SIDE}; a face that is found then has to be a clear one. */
const SOFTENED = [4, 8] as const;
const CLEARLY = 0.6;

/** Hatching, flat shapes and hard lines hide faces from models that know photographs: softened, many are found. */
async function softly(detector: Detector, { data, width, height }: Pixels): Promise<DetectedFace[]> {
  for (const sigma of SOFTENED) {
    const soft = await sharp(data, { raw: { width, height, channels: 3 } })
      .blur(sigma)
      .raw()
      .toBuffer();
    const { face } = await detect(detector, { data: soft, width, height }, false);
    const clear = face.filter((f) => f.boxScore >= CLEARLY);
    if (clear.length) return clear;
  }
  return [];
}

const degrees = (radians = 0) => Math.round((radians * 1800) / Math.PI) / 10;

const facesOf = (found: readonly DetectedFace[]): SeenFace[] =>
  found
    .filter((f) => f.meshRaw?.length >= 468)
    .map((f) => ({
      score: f.boxScore,
      box: f.boxRaw,
      mesh: f.meshRaw.map(([x, y]) => [x, y] as const),
      yaw: degrees(f.rotation?.angle?.yaw),
      roll: degrees(f.rotation?.angle?.roll),
      embedding: f.embedding ?? [],
    }));

/** Lets the segmentation model look at the part of a picture around a head; what lies beyond the picture is its border drawn out. */
async function segmented(
  { data, width, height }: Pixels,
  face: SeenFace,
  { tf }: Detector,
  segmenter: Segmenter,
): Promise<SegmentedPart> {
  const box = headPartOf(frameOfMesh(face.mesh, face.yaw), width, height);
  const [left, top, w, h] = [box[0] * width, box[1] * height, box[2] * width, box[3] * height].map(Math.round);
  const beyond = { left: Math.max(0, -left), top: Math.max(0, -top), right: Math.max(0, left + w - width) };
  const below = Math.max(0, top + h - height);
  const drawnOut = await sharp(data, { raw: { width, height, channels: 3 } })
    .extend({ ...beyond, bottom: below, extendWith: 'copy' })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width: wide, height: high } = drawnOut.info;
  const pixels = await sharp(drawnOut.data, { raw: { width: wide, height: high, channels: 3 } })
    .extract({ left: Math.max(0, left), top: Math.max(0, top), width: Math.min(w, wide), height: Math.min(h, high) })
    .resize(PART, PART, { fit: 'fill' })
    .raw()
    .toBuffer();
  const input = tf.tensor(
    Float32Array.from(pixels, (v) => v / 255),
    [1, PART, PART, 3],
    'float32',
  );
  const answer = segmenter.predict(input);
  const alpha = Uint8Array.from(answer.dataSync(), (v) => Math.round(255 * v));
  tf.dispose(input);
  tf.dispose(answer);
  return { box, side: PART, alpha };
}

parentPort!.on('message', ({ id, file }: VisionQuestion) => {
  void see(file).then(
    (seen) => parentPort!.postMessage({ id, seen } satisfies VisionAnswer),
    (error: Error) =>
      parentPort!.postMessage({
        id,
        error: error.message,
        unavailable: error instanceof Unavailable,
      } satisfies VisionAnswer),
  );
});
