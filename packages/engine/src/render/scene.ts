import { emphasise, heardEmphases, nameOf, silenced, understand, type NotDrawn, type SceneBrief } from '@urbild/core';
import { enlargement, strideAt, viewAt } from '../frames/frame';
import { seenStage } from '../frames/seenStage';
import { mixLight } from '../staging/light';
import type { LoadedPicture } from '../gives/action';
import { directPainter, type Direction } from '../gives/direct';
import { environmentFor } from '../painter/light/environment';
import { isPulled, type TraitPulls } from '../painter/people/fromTraits';
import { paintStage } from '../painter/paint';
import type { LayoutHints } from '../painter/places';
import type { RenderRequest } from '../contract/request';
import type { SynthesisPlan } from '../synthesis/plan';
import { KeptStage, keptStage, type PaintedStage } from './stageCache';

/** What the painter was told of a request, and what it painted. */
export interface PaintedScene {
  readonly brief: SceneBrief;
  readonly direction: Direction;
  readonly stage: PaintedStage;
}

/** Reads, directs and paints, but for `unpainted` entities, what a request shows: a picture of its own, or a frame of a sequence at its moment. */
export function paintScene(
  request: RenderRequest,
  plan: SynthesisPlan,
  loaded: readonly LoadedPicture[],
  checkpoint: () => void,
  unpainted?: ReadonlySet<number>,
): PaintedScene {
  const { width, height, seed, spread, frame } = request;
  const read = briefOf(request);
  const direction = directPainter(request, read, plan, loaded);
  checkpoint();
  const brief = { ...read, unused: [...read.unused, ...unknownNames(read, direction.identities.of)] };
  const told = { ...request, influences: request.influences.filter((_, k) => loaded.some((p) => p.influence === k)) };
  const k = frame?.camera ? enlargement(frame.camera) : 1;
  const whole = { width: Math.round(width * k), height: Math.round(height * k) };
  const paint = () =>
    paintStage(brief, {
      ...whole,
      seed,
      spread,
      hints: { ...direction.hints, ...strideHint(request) },
      light: lightOf(request, brief, direction),
      identities: direction.identities.of,
      ornateness: request.ornateness,
      unpainted,
      checkpoint,
    });
  const stage = unpainted ? new KeptStage(paint(), false) : keptStage(told, paint);
  if (!frame?.camera) return { brief, direction, stage };
  return { brief, direction, stage: seenStage(stage, whole, viewAt(frame.camera, frame.at), width, height) };
}

/** The words of a request; those of a sequence become its last ones in the middle. */
function briefOf({ prompt, avoid, names, seed, spread, medium, frame, emphases = [] }: RenderRequest): SceneBrief {
  const words = frame?.towards !== undefined && frame.at >= 0.5 ? frame.towards : prompt;
  const heard = heardEmphases(words, emphases);
  const refused = [avoid, silenced(heard)].filter(Boolean).join(', ');
  const cast = anybody(emphasise(understand(words, refused, names), heard), spread > 0 ? seed : 0);
  return medium ? { ...cast, medium } : cast;
}

/** Between two prompts the light goes steadily from the one to the other. */
function lightOf({ prompt, avoid, frame }: RenderRequest, brief: SceneBrief, { light }: Direction) {
  if (frame?.towards === undefined) return light;
  const [share, words] = frame.at < 0.5 ? [frame.at, frame.towards] : [1 - frame.at, prompt];
  const other = understand(words, avoid);
  return mixLight(light, environmentFor(other.time, other.weather, other.season, other.light ?? brief.light), share);
}

function strideHint({ frame }: RenderRequest): Pick<LayoutHints, 'stride'> {
  if (!frame?.across) return {};
  return { stride: { ...strideAt(frame.across, frame.at), left: frame.across < 0 } };
}

/** Names of which nothing is known, neither by a description nor by pictures: whoever is drawn there is anybody. */
const unknownNames = ({ entities, claims }: SceneBrief, identities: ReadonlyMap<number, TraitPulls>): NotDrawn[] =>
  claims.flatMap(({ start, end, text, axis, value, entity }) => {
    const named = axis === 'cast' && entity !== undefined ? entities[entity] : undefined;
    if (!named || named.kind === 'thing' || !named.nameOnly) return [];
    const pulls = identities.get(entity!);
    if (pulls && isPulled(pulls)) return [];
    const why = `Nothing tells what ${value} looks like here: give the sheet a picture or a description, or let it act.`;
    return [{ start, end, text, means: `cast: ${value}`, why }];
  });

/** The brief with another person for every seed where the words name nobody: "a woman" is any woman. */
const anybody = (brief: SceneBrief, seed: number): SceneBrief => ({
  ...brief,
  entities: brief.entities.map((e) =>
    e.kind === 'person' && nameOf(e) === undefined && e.variant === undefined && seed
      ? { ...e, variant: 1 + (seed % 4093) }
      : e,
  ),
});
