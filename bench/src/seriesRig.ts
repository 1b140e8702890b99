import {
  blendDescriptors,
  describe,
  fuseTraits,
  measureArrival,
  ownDifferences,
  pictureFromRgba,
  resampleToLongSide,
  stateOfShot,
  understand,
  type Descriptors,
  type JudgedInfluence,
  type Medium,
  type Picture,
  type ShotFacts,
  type ShotPlan,
  type TraitSheet,
  type MixState,
} from '@urbild/core';
import {
  BuiltInEngine,
  factsOfRender,
  figureDistances,
  strangerPictures,
  paintStage,
  readRequest,
  readTraits,
  type RenderRequest,
  type RenderResult,
} from '@urbild/engine';
import sharp from 'sharp';
import { paintPersonFrom } from '@urbild/engine-tools';

/** What stands behind an influence of the rig: pictures by name, and the sheet of a character. */
export interface RigSource {
  readonly name: string;
  readonly pictures: readonly string[];
  readonly sheet?: TraitSheet;
}

/** One rendered shot with all that is measured of it. */
export interface RigTake {
  readonly result: RenderResult;
  readonly descriptors: Descriptors;
}

const REFERENCE = { width: 720, height: 480 };

/** Renders series without a server: references are painted once, takes are measured as the studio measures them. */
export class SeriesRig {
  private readonly engine = new BuiltInEngine();
  private readonly pictures = new Map<string, Picture>();
  private readonly described = new Map<string, Descriptors>();
  private readonly taken = new Map<string, Promise<RigTake>>();
  readonly sources = new Map<string, RigSource>();

  constructor(
    readonly width: number,
    readonly height: number,
  ) {}

  /** Paints a picture and gives the name under which requests know it. */
  paint(prompt: string, medium: Medium, seed: number, palette?: string): string {
    const name = [medium, palette, seed, prompt].join(' ');
    if (!this.pictures.has(name)) {
      const stage = paintStage(understand(prompt), { ...REFERENCE, seed, medium, palette });
      this.add(name, pictureFromRgba(stage.rgba, REFERENCE.width, REFERENCE.height));
    }
    return name;
  }

  /** Makes a picture known under a name. */
  add(name: string, picture: Picture): string {
    this.pictures.set(name, picture);
    this.described.set(name, describe(resampleToLongSide(picture, 512)));
    return name;
  }

  /** A look of painted pictures. */
  look(id: string, name: string, medium: Medium, prompts: readonly string[]): void {
    this.sources.set(id, { name, pictures: prompts.map((p, k) => this.paint(p, medium, 3 + k)) });
  }

  /** A character from painted half figures of it, read as an import would be. */
  character(id: string, name: string, who: string, medium: Medium): void {
    const where = ['salt marsh at dawn', 'meadow at noon', 'harbour in the morning'];
    this.characterOf(
      id,
      name,
      where.map((place, k) => ({ prompt: `half figure of ${who}, front, ${place}`, medium, seed: 40 + k })),
    );
  }

  /** A character from pictures that are painted upright. */
  characterOf(
    id: string,
    name: string,
    pictures: readonly { readonly prompt: string; readonly medium: Medium; readonly seed: number }[],
  ): void {
    const sheet = fuseTraits(
      pictures.flatMap(({ prompt, medium, seed }) => {
        const painted = paintPersonFrom(prompt, medium, seed, undefined, 480, 600);
        return painted?.frame ? [readTraits(painted.picture, painted.frame).traits] : [];
      }),
    );
    const [{ prompt, medium, seed }] = pictures;
    this.sources.set(id, { name, pictures: [this.paint(prompt, medium, seed)], sheet });
  }

  nameOf(mix: MixState, plan: ShotPlan, influence: string): string {
    const found = stateOfShot(mix, plan).influences.find((i) => i.id === influence);
    return (found && this.sources.get(found.referenceId)?.name) ?? influence;
  }

  /** What a shot is rendered from. */
  request(mix: MixState, plan: ShotPlan): RenderRequest {
    const state = stateOfShot(mix, plan);
    return readRequest({
      prompt: state.prompt,
      avoid: state.avoid,
      seed: state.settings.seed,
      balance: state.settings.balance,
      width: this.width,
      height: this.height,
      influences: state.influences.map(({ id, referenceId, gives, weight, from, to, reading, on }) => {
        const { pictures, sheet } = this.sources.get(referenceId)!;
        return {
          id,
          gives,
          weight,
          from,
          to,
          reading,
          on,
          ...(sheet ? { traits: sheet } : {}),
          pictures: pictures.map((content) => ({ content })),
        };
      }),
    });
  }

  /** Renders a request once, whoever asks. */
  render(request: RenderRequest): Promise<RigTake> {
    const key = JSON.stringify(request);
    let take = this.taken.get(key);
    if (!take) {
      take = this.engine
        .render(request, (name) => Promise.resolve(this.pictures.get(name)!))
        .then((result) => {
          const picture = pictureFromRgba(result.rgba, result.width, result.height);
          return { result, descriptors: describe(resampleToLongSide(picture, 512)) };
        });
      this.taken.set(key, take);
    }
    return take;
  }

  take(mix: MixState, plan: ShotPlan): Promise<RigTake> {
    return this.render(this.request(mix, plan));
  }

  /** The same words and seed without influences. */
  control(mix: MixState, plan: ShotPlan): Promise<RigTake> {
    return this.render({ ...this.request(mix, plan), influences: [] });
  }

  /** The influences of a mix as they are judged. */
  judged(mix: MixState): JudgedInfluence[] {
    return mix.influences.map(({ id, gives, weight, referenceId }) => {
      const { name, sheet } = this.sources.get(referenceId)!;
      return { id, name, gives, weight, sheet };
    });
  }

  /** The facts of a shot as the studio has them. */
  async facts(mix: MixState, plan: ShotPlan, asControl = false): Promise<ShotFacts> {
    const request = this.request(mix, plan);
    const control = await this.control(mix, plan);
    const take = asControl ? control : await this.render(request);
    const { result, descriptors } = take;
    const arrivals = Object.fromEntries(
      (asControl ? [] : request.influences).map((i) => {
        const of = i.pictures.map((p) => ({ descriptors: this.described.get(p.content)!, weight: p.weight }));
        const others = figureDistances({
          ...{ influence: i, take: result.figures, control: control.result.figures, sheet: result.sheets[i.id] },
          aspect: { picture: this.width / this.height, reference: REFERENCE.width / REFERENCE.height },
        });
        return [
          i.id,
          measureArrival({
            gives: i.gives,
            take: descriptors,
            control: control.descriptors,
            reference: blendDescriptors(of),
            strangers: strangerPictures(),
            others,
          }).overall,
        ];
      }),
    );
    return {
      ...plan,
      differs: ownDifferences(mix, plan.own),
      arrivals,
      picture: descriptors,
      ...factsOfRender({ ...result, influences: request.influences }, this.judged(mix)),
    };
  }

  /** Writes pictures side by side into a PNG file, for eyes. */
  async sheet(file: string, takes: readonly RigTake[], columns: number): Promise<void> {
    const { width, height } = this;
    const tiles = await Promise.all(
      takes.map(async ({ result: { rgba } }, k) => ({
        input: await sharp(Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength), {
          raw: { width, height, channels: 4 },
        })
          .png()
          .toBuffer(),
        left: (k % columns) * width,
        top: Math.floor(k / columns) * height,
      })),
    );
    const size = { width: width * columns, height: height * Math.ceil(takes.length / columns) };
    await sharp({ create: { ...size, channels: 3, background: '#757575' } })
      .composite(tiles)
      .png()
      .toFile(file);
  }
}
