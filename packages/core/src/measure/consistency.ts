import { channelsOf } from '../influence/formula';
import { median } from '../maths/scalar';
import type { MixInfluence } from '../mix/mix';
import { understand } from '../prompt/understand';
import { causeOf, reasonOf, type CauseContext, type FoundCause } from './causes';
import { identityOff } from './identityOff';
import { allBut, bandOf, deviations, type Band } from './robust';
import type { Slipped, JudgedInfluence, ShotFacts } from './shotFacts';
import { distanceIn, pairsOf, timesCloser, timesNearer, type Comparison, type Compared } from './spread';

/** A shot that falls out of its series. */
export interface FallsOut extends FoundCause {
  /** Index of the shot. */
  readonly shot: number;
  readonly aspect: Slipped;
  /** The influence that does not hold. */
  readonly influence: string;
  /** Arrival of that influence in this shot, and where the others lie; absent where it cannot be told. */
  readonly arrival?: number;
  readonly others?: Band;
  /** How far off, in robust deviations of the others; infinite where nothing can be told of this shot alone. */
  readonly far: number;
}

/** How much closer together takes are than their controls. */
export interface Closer {
  /** By the influence that gives the identity. */
  readonly identity: Readonly<Record<string, number>>;
  /** Geometric mean over colour and surface. */
  readonly look?: number;
  readonly surface?: number;
  readonly colour?: number;
}

/** The least deviations that mean anything: of trait distances, surface and palette distances, arrivals. */
const FLOOR = { identity: 0.07, surface: 0.07, colour: 0.5, arrival: 0.09 } as const;
/** How much farther than usual a shot has to be in any case. */
const LEAST = { identity: 0.22, surface: 0.25, colour: 1.8, arrival: 0.3 } as const;
/** How many robust deviations off a shot falls out. */
const FAR = 3;
/** A shot with a reason that is not enough by itself falls out by this part of what it takes without one. */
const WITH_REASON = 0.45;

/** True for influences that say who is seen. */
export const givesIdentity = ({ gives, weight }: JudgedInfluence): boolean =>
  weight > 0 && gives !== 'everything' && channelsOf(gives).includes('identity');

/** True for influences that say how it is drawn. */
export const givesLook = ({ gives, weight }: JudgedInfluence): boolean =>
  weight > 0 && gives !== 'everything' && channelsOf(gives).includes('surface');

/** A shot as it is compared for one influence. */
export const comparedFor = ({ picture, subjects }: ShotFacts, influence?: string): Compared => ({
  ...picture,
  traits: (influence !== undefined && subjects[influence]?.traits) || {},
});

/**
 * How much closer together the takes of a series are than their controls, given pairwise; in who is seen, than the controls are to them:
 * words alone may draw one and the same stranger every time.
 */
export function closerOf(
  takes: readonly ShotFacts[],
  controls: readonly ShotFacts[],
  influences: readonly JudgedInfluence[],
): Closer {
  const times = (by: Comparison, influence?: string) =>
    (influence === undefined ? timesCloser : timesNearer)(
      takes.map((t) => comparedFor(t, influence)),
      controls.map((c) => comparedFor(c, influence)),
      by,
    );
  const identity: Record<string, number> = {};
  for (const i of influences.filter(givesIdentity)) {
    const value = times('identity', i.id);
    if (value !== undefined) identity[i.id] = value;
  }
  if (!influences.some(givesLook)) return { identity };
  const [surface, colour] = [times('surface'), times('colour')];
  const look = surface !== undefined && colour !== undefined ? Math.sqrt(surface * colour) : undefined;
  return { identity, surface, colour, look };
}

/**
 * The shots that fall out of a series, the farthest first; at most one finding a shot. Words and own settings are looked at first: what
 * takes the most of an influence lets a shot fall out unless it arrived all the same. Then the pictures: who is seen is compared with
 * what all other shots show of them together, the look by the median distance to the other shots, everything else by arrival; a
 * shot falls out when it lies more than three robust deviations on the wrong side, or sooner where something written is a reason.
 */
export function fallingOut<I extends MixInfluence>(
  shots: readonly ShotFacts<I>[],
  influences: readonly JudgedInfluence[],
  context: CauseContext,
): FallsOut[] {
  const found: FallsOut[] = [];
  const oddLight = inOtherLight(shots);
  for (const of of influences.filter((i) => i.weight > 0)) {
    const aspect: Slipped = givesIdentity(of) ? 'identity' : givesLook(of) ? 'look' : 'arrival';
    offBy(aspect, shots, of, context.height).forEach((off, shot) => {
      const far = off * (oddLight[shot] ? EXPLAINED : 1);
      const reason = reasonOf(shots, shot, aspect, of, context);
      const written = reason?.enough && (reason.cause === 'words' || !arrivedAnyway(shots, shot, of.id));
      if (!written && far < (reason ? WITH_REASON * FAR : FAR)) return;
      const cause = causeOf(shots, shot, aspect, of, context);
      const hidden = written && shots[shot].arrivals[of.id] === undefined && far < WITH_REASON * FAR;
      const sentence = hidden ? `${cause.sentence} This picture cannot tell.` : cause.sentence;
      const arrival = shots[shot].arrivals[of.id];
      const others = bandOf(allBut(shots, shot).flatMap((s) => s.arrivals[of.id] ?? []));
      found.push({
        shot,
        aspect,
        influence: of.id,
        arrival,
        others,
        far: Math.max(far, written ? FAR : 0),
        ...cause,
        sentence,
      });
    });
  }
  found.sort((a, b) => b.far - a.far || a.shot - b.shot);
  return found.filter((f, k) => found.findIndex((g) => g.shot === f.shot) === k);
}

/** What of a deviation counts in a shot whose words ask for a light or weather of its own: the rest is what was asked for. */
const EXPLAINED = 0.5;

/** The shots whose light and weather fewer than a third of the others have. */
function inOtherLight(shots: readonly ShotFacts[]): boolean[] {
  const light = shots.map(({ prompt }) => {
    const { time, weather, light: lit } = understand(prompt);
    return [time, weather, lit].join();
  });
  return light.map((own, k) => allBut(light, k).filter((l) => l === own).length < (shots.length - 1) / 3);
}

const offBy = (aspect: Slipped, shots: readonly ShotFacts[], of: JudgedInfluence, height: number): number[] =>
  aspect === 'identity'
    ? identityFar(shots, of, height)
    : aspect === 'look'
      ? lookOff(shots, of.id)
      : arrivalOff(shots, of.id);

/** How much less than in the others something may have arrived and still be there all the same. */
const SAME = 0.05;

/** Whether an influence is in a shot as it is in the others, whatever is written there. */
function arrivedAnyway(shots: readonly ShotFacts[], shot: number, influence: string): boolean {
  const own = shots[shot].arrivals[influence];
  const others = allBut(shots, shot).flatMap((s) => s.arrivals[influence] ?? []);
  return own !== undefined && others.length >= 3 && own >= median(others) - SAME && own > SAME;
}

/**
 * How far each value is above the others, in robust deviations or - where that is less - in parts of the least that counts, which
 * is as much as {@link FAR} then; 0 for what cannot be told.
 */
function offAbove(values: readonly (number | undefined)[], floor: number, least: number): number[] {
  return values.map((v, k) => {
    if (v === undefined) return 0;
    const others = allBut(values, k).filter((o): o is number => o !== undefined);
    if (others.length < 3) return 0;
    return Math.min(deviations(v, others, floor), (FAR * (v - median(others))) / least);
  });
}

/** By the distance of what a shot shows of somebody to what all others show; infinite where only this one shows nothing. */
function identityFar(shots: readonly ShotFacts[], of: JudgedInfluence, height: number): number[] {
  const off = identityOff(shots, of, height);
  const known = off.filter((o) => o.legible).length;
  const far = offAbove(
    off.map((o) => o.distance),
    FLOOR.identity,
    LEAST.identity,
  );
  return far.map((f, k) => (!off[k].legible && known >= 0.6 * (shots.length - 1) && known >= 3 ? Infinity : f));
}

/** How much less than in the others a look has to have arrived where its shot looks different: a kitchen differs by itself. */
const LESS = 0.12;

/**
 * By the median distance of a shot to the others, on surface or on colour, whichever is farther off - but only where the look
 * has also arrived less than in the others, as far as that can be told.
 */
function lookOff(shots: readonly ShotFacts[], influence: string): number[] {
  const pictures = shots.map((s) => comparedFor(s));
  const [surface, colour] = (['surface', 'colour'] as const).map((by) => {
    const pairs = pairsOf(pictures, by);
    const typical = shots.map((_, i) =>
      median(
        allBut(
          shots.map((__, j) => (i === j ? 0 : distanceIn(pairs, i, j)!)),
          i,
        ),
      ),
    );
    return offAbove(typical, FLOOR[by], LEAST[by]);
  });
  const arrivals = shots.map((s) => s.arrivals[influence]);
  return surface.map((v, k) => {
    const own = arrivals[k];
    const others = allBut(arrivals, k).filter((a) => a !== undefined);
    const arrived = own !== undefined && others.length >= 3 && own > median(others) - LESS;
    return arrived ? 0 : Math.max(v, colour[k]);
  });
}

const arrivalOff = (shots: readonly ShotFacts[], influence: string): number[] =>
  offAbove(
    shots.map((s) => (s.arrivals[influence] === undefined ? undefined : -s.arrivals[influence])),
    FLOOR.arrival,
    LEAST.arrival,
  );
