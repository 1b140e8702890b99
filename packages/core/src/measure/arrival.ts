import { clamp, median } from '../maths/scalar';
import { distanceOn, type Descriptors, type MeasuredChannel } from '../describe/descriptors';
import { channelsOf } from '../influence/formula';
import type { Gives } from '../mix/gives';
import type { Channel } from '../mix/gives/give';
import type { IdentityEvidence } from './identityEvidence';

/** The channels that can be measured from pictures alone. */
const MEASURED: readonly MeasuredChannel[] = ['colour', 'surface', 'layout'];

/**
 * How far a take went from its control to a reference on one channel: 1 - d(take, reference) / d(control, reference); below 0 where it
 * went away. `undefined` where control and reference already agree and there is no way to go.
 */
export const wayGone = ({ take, control }: ToReference): number | undefined =>
  control > 1e-6 ? 1 - take / control : undefined;

/** However far a take has gone to strangers, this much of the scale is left for the reference itself. */
const MOST_OF_STRANGERS = 0.9;

/**
 * Arrival on one channel, 0..1. 1 is a copy. 0 is what an unrelated reference of the kind scores: the median way that the take has gone
 * to `strangers`; where none are given, no way at all. What went away from a reference has not arrived, and is no less than nothing.
 */
export function arrivalOf(reference: ToReference, strangers: readonly ToReference[] = []): number | undefined {
  const gone = wayGone(reference);
  if (gone === undefined) return undefined;
  const ways = strangers.flatMap((s) => wayGone(s) ?? []);
  const zero = ways.length ? clamp(median(ways), 0, MOST_OF_STRANGERS) : 0;
  return clamp((gone - zero) / (1 - zero));
}

/** Distances on a channel: of the take and of its control to the reference. */
export interface ToReference {
  readonly take: number;
  readonly control: number;
}

/** How far a channel went that descriptors do not tell. */
export interface OtherChannel extends ToReference {
  /** The part of the picture on which it was judged, 0..1. */
  readonly part?: number;
}

/** A channel that was judged as a whole: how far it has arrived, 0..1. */
export interface JudgedChannel {
  readonly value: number;
  /** The part of the picture on which it was judged, 0..1. */
  readonly part?: number;
  /** What speaks for it, and what against. */
  readonly evidence?: IdentityEvidence;
}

/** The measured way of one take to one reference. */
export interface Arrival {
  /** Mean over the channels that the influence gives and that can be measured, 0..1; undefined where none can. */
  readonly overall?: number;
  readonly channels: Partial<Record<Channel, number>>;
  /** On how much of the picture a channel was judged, 0..1; all of it where nothing is said. */
  readonly parts?: Partial<Record<Channel, number>>;
  /** Of an identity: what speaks for it, and what against. */
  readonly evidence?: IdentityEvidence;
  /** Channels that the influence gives and that cannot be told here: why, and what would make them tellable. */
  readonly untold?: Partial<Record<Channel, string>>;
}

/** What an arrival is measured from. */
export interface ArrivalInput {
  readonly gives: Gives;
  readonly take: Descriptors;
  readonly control: Descriptors;
  readonly reference: Descriptors;
  /** Unrelated pictures: what they score is 0. The same list for all takes is compared with each picture only once. */
  readonly strangers?: readonly Descriptors[];
  /** Pose, identity and - of what acts by its areas - layout, as somebody else found them, or why they cannot be told. */
  readonly others?: Readonly<Partial<Record<'layout' | 'pose' | 'identity', OtherChannel | JudgedChannel | string>>>;
}

/** Layouts cost most to compare: fewer strangers do. */
const LAYOUT_STRANGERS = 4;

type Distances = Partial<Record<MeasuredChannel, readonly number[]>>;
const known = new WeakMap<readonly Descriptors[], WeakMap<Descriptors, Distances>>();

/** Distances of a picture to strangers: compared once for each picture, however many references are measured in it. */
function toStrangers(channel: MeasuredChannel, of: Descriptors, strangers: readonly Descriptors[]): readonly number[] {
  let pictures = known.get(strangers);
  if (!pictures) known.set(strangers, (pictures = new WeakMap()));
  let distances = pictures.get(of);
  if (!distances) pictures.set(of, (distances = {}));
  const own = channel === 'layout' ? strangers.slice(0, LAYOUT_STRANGERS) : strangers;
  return (distances[channel] ??= own.map((stranger) => distanceOn(channel, of, stranger)));
}

const AGREES = 'The prompt alone is as near to it already: there is no way to go.';
const NOBODY: readonly Descriptors[] = [];

/**
 * Arrival of `take` at `reference` on every channel that `gives` acts on and that can be measured: colour, surface and layout by
 * descriptors, pose and identity by what `others` says.
 */
export function measureArrival({
  gives,
  take,
  control,
  reference,
  strangers = NOBODY,
  others = {},
}: ArrivalInput): Arrival {
  const channels: Partial<Record<Channel, number>> = {};
  const parts: Partial<Record<Channel, number>> = {};
  const untold: Partial<Record<Channel, string>> = {};
  let evidence: IdentityEvidence | undefined;
  const acting = channelsOf(gives);
  for (const channel of MEASURED.filter((c) => acting.includes(c) && !(c in others))) {
    const own = { take: distanceOn(channel, take, reference), control: distanceOn(channel, control, reference) };
    const controls = toStrangers(channel, control, strangers);
    const ways = toStrangers(channel, take, strangers).map((d, k) => ({ take: d, control: controls[k] }));
    const value = arrivalOf(own, ways);
    if (value === undefined) untold[channel] = AGREES;
    else channels[channel] = value;
  }
  for (const channel of ['layout', 'pose', 'identity'] as const) {
    const other = others[channel];
    if (other === undefined || !acting.includes(channel)) continue;
    const value = typeof other === 'string' ? undefined : 'value' in other ? other.value : arrivalOf(other);
    if (value === undefined) untold[channel] = typeof other === 'string' ? other : AGREES;
    else channels[channel] = value;
    if (typeof other !== 'string' && other.part !== undefined) parts[channel] = other.part;
    if (typeof other !== 'string' && 'evidence' in other) evidence = other.evidence;
  }
  const values = Object.values(channels);
  return {
    overall: values.length ? values.reduce((a, b) => a + b, 0) / values.length : undefined,
    channels,
    ...(Object.keys(parts).length ? { parts } : {}),
    ...(evidence ? { evidence } : {}),
    ...(Object.keys(untold).length ? { untold } : {}),
  };
}
