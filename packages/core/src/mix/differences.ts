import { INFLUENCE_SETTINGS } from './influence';
import type { MixInfluence, MixState } from './mix';
import { percentOf, shortNumber, type AnySetting } from './setting';
import { SETTINGS } from './settings';

/** A state whose influences may be known in more detail. */
type Of<I> = Omit<MixState, 'influences'> & { readonly influences: readonly I[] };

/**
 * What differs between two takes or mixes, one sentence fragment each ("Ilse 0.8 → 1.1"); empty when nothing does. `name` gives
 * the name of what stands behind an influence.
 */
export function differences<I extends MixInfluence>(
  before: Of<I>,
  after: Of<I>,
  name: (influence: I) => string,
): string[] {
  const out: string[] = [];
  if (before.prompt !== after.prompt) out.push(`words: “${before.prompt}” → “${after.prompt}”`);
  if (before.avoid !== after.avoid) out.push(`without: “${before.avoid}” → “${after.avoid}”`);
  out.push(...told(SETTINGS, before.settings, after.settings));
  const left = new Map(after.influences.map((i) => [i.id, i]));
  for (const was of before.influences) {
    const is = left.get(was.id);
    left.delete(was.id);
    if (!is) out.push(`${name(was)} taken out`);
    else out.push(...influenceDifferences(was, is, name));
  }
  for (const i of left.values()) out.push(`${name(i)} added, gives ${i.gives}, ${shortNumber(i.weight)}`);
  const order = (s: Of<I>, other: Of<I>) =>
    s.influences.map((i) => i.id).filter((id) => other.influences.some((o) => o.id === id));
  if (order(before, after).join() !== order(after, before).join()) out.push('order of the influences changed');
  return out;
}

/** How two sets of declared settings differ; each is spoken of by its own name, or all by the one that they belong to. */
const told = (
  settings: Readonly<Record<string, AnySetting>>,
  before: object,
  after: object,
  called?: string,
): string[] =>
  Object.entries(settings).flatMap(([name, setting]) => {
    const value = (of: object) => (of as Readonly<Record<string, unknown>>)[name];
    return setting.differences(value(before), value(after), called ?? name);
  });

function influenceDifferences<I extends MixInfluence>(was: I, is: I, name: (influence: I) => string): string[] {
  const called = name(is);
  const { weight, ...others } = INFLUENCE_SETTINGS;
  return [
    ...(was.referenceId === is.referenceId ? [] : [`${name(was)} replaced by ${called}`]),
    ...told({ weight }, was, is, called),
    ...spanDifferences(was, is, called),
    ...told(others, was, is, called),
  ];
}

/** Both ends of a span are told together. */
const spanDifferences = (was: MixInfluence, is: MixInfluence, called: string): string[] =>
  was.from === is.from && was.to === is.to
    ? []
    : [`${called} from ${percentOf(was.from)}–${percentOf(was.to)} to ${percentOf(is.from)}–${percentOf(is.to)}`];
