import {
  describe,
  fuseTraits,
  pictureFromRgba,
  resampleToLongSide,
  understand,
  type Descriptors,
  type Gives,
  type Medium,
  type Picture,
  type TraitSheet,
} from '@urbild/core';
import {
  BuiltInEngine,
  paintStage,
  readRequest,
  readTraits,
  type RenderRequest,
  type RenderResult,
} from '@urbild/engine';
import sharp from 'sharp';
import { paintPersonFrom } from '../../packages/engine/src/traits/samples';

/** A reference of the rig: painted from words, never taken from the engine's own results. */
export interface RigReference {
  readonly gives: Gives;
  readonly weight: number;
  readonly pictures: readonly string[];
  readonly traits?: TraitSheet;
  readonly subject?: string;
}

/** One rendered shot with all that is measured of it. */
export interface RigTake {
  readonly result: RenderResult;
  readonly descriptors: Descriptors;
}

/** Renders series without a server: references are painted once, takes are measured as the studio measures them. */
export class SeriesRig {
  private readonly engine = new BuiltInEngine();
  private readonly pictures = new Map<string, Picture>();

  constructor(
    private readonly width: number,
    private readonly height: number,
  ) {}

  /** Paints a reference and gives the name under which requests know it. */
  paint(prompt: string, medium: Medium, seed: number, palette?: string): string {
    const name = `${medium} ${palette ?? ''} ${seed} ${prompt}`;
    if (!this.pictures.has(name)) {
      const size = { width: 720, height: 480 };
      const stage = paintStage(understand(prompt), { ...size, seed, medium, palette });
      this.pictures.set(name, pictureFromRgba(stage.rgba, size.width, size.height));
    }
    return name;
  }

  /** The sheet of a character from painted pictures of it. */
  sheetOf(who: readonly string[], medium: Medium): TraitSheet {
    return fuseTraits(
      who.flatMap((words, k) => {
        const painted = paintPersonFrom(words, medium, 40 + k, undefined, 480, 600);
        return painted?.frame ? [readTraits(painted.picture, painted.frame).traits] : [];
      }),
    );
  }

  request(prompt: string, seed: number, influences: readonly RigReference[], more: object = {}): RenderRequest {
    return readRequest({
      prompt,
      seed,
      width: this.width,
      height: this.height,
      influences: influences.map(({ pictures, ...i }, k) => ({
        id: `i${k}`,
        ...i,
        pictures: pictures.map((content) => ({ content })),
      })),
      ...more,
    });
  }

  async render(request: RenderRequest): Promise<RigTake> {
    const result = await this.engine.render(request, (name) => Promise.resolve(this.pictures.get(name)!));
    const picture = pictureFromRgba(result.rgba, result.width, result.height);
    return { result, descriptors: describe(resampleToLongSide(picture, 512)) };
  }

  /** Writes pictures side by side, for eyes. */
  async sheet(file: string, takes: readonly RigTake[], columns: number, side = 320): Promise<void> {
    const h = Math.round((side * this.height) / this.width);
    const tiles = await Promise.all(
      takes.map(async ({ result: { rgba, width, height } }, k) => ({
        input: await sharp(Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength), {
          raw: { width, height, channels: 4 },
        })
          .resize(side, h)
          .png()
          .toBuffer(),
        left: (k % columns) * side,
        top: Math.floor(k / columns) * h,
      })),
    );
    await sharp({
      create: {
        width: side * columns,
        height: h * Math.ceil(takes.length / columns),
        channels: 3,
        background: '#777',
      },
    })
      .composite(tiles)
      .png()
      .toFile(file);
  }
}
