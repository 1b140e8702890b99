import type { Emphasis } from '../prompt/emphasis';
import type { TrialInfluence, TrialState } from './state';

const percent = (v: number) => `${Math.round(v * 100)} %`;
const number = (v: number) => String(Math.round(v * 100) / 100);

/** A state whose influences may be known in more detail. */
type Of<I> = Omit<TrialState, 'influences'> & { readonly influences: readonly I[] };

/**
 * What differs between two takes or mixes, one sentence fragment each ("Ilse 0.8 → 1.1"); empty when nothing does. `name` gives
 * the name of what stands behind an influence.
 */
export function differences<I extends TrialInfluence>(
  before: Of<I>,
  after: Of<I>,
  name: (influence: I) => string,
): string[] {
  const out: string[] = [];
  const [a, b] = [before.settings, after.settings];
  if (before.prompt !== after.prompt) out.push(`words: “${before.prompt}” → “${after.prompt}”`);
  if (before.avoid !== after.avoid) out.push(`without: “${before.avoid}” → “${after.avoid}”`);
  if (a.seed !== b.seed) out.push(`seed ${a.seed} → ${b.seed}`);
  if (a.aspect !== b.aspect && a.aspect && b.aspect) out.push(`plate ${a.aspect} → ${b.aspect}`);
  if (a.balance !== b.balance) out.push(`balance ${number(a.balance)} → ${number(b.balance)}`);
  if ((a.spread ?? 1) !== (b.spread ?? 1)) out.push(`spread ${number(a.spread ?? 1)} → ${number(b.spread ?? 1)}`);
  for (const setting of ['strictness', 'ornateness'] as const)
    if ((a[setting] ?? 0.5) !== (b[setting] ?? 0.5))
      out.push(`${setting} ${number(a[setting] ?? 0.5)} → ${number(b[setting] ?? 0.5)}`);
  out.push(...emphasisDifferences(a.emphases, b.emphases));
  if (a.medium !== b.medium) out.push(`medium ${a.medium ?? 'as it comes'} → ${b.medium ?? 'as it comes'}`);
  out.push(...startDifferences(a, b));
  const left = new Map(after.influences.map((i) => [i.id, i]));
  for (const was of before.influences) {
    const is = left.get(was.id);
    left.delete(was.id);
    if (!is) out.push(`${name(was)} taken out`);
    else out.push(...influenceDifferences(was, is, name));
  }
  for (const i of left.values()) out.push(`${name(i)} added, gives ${i.gives}, ${number(i.weight)}`);
  const order = (s: Of<I>, other: Of<I>) =>
    s.influences.map((i) => i.id).filter((id) => other.influences.some((o) => o.id === id));
  if (order(before, after).join() !== order(after, before).join()) out.push('order of the influences changed');
  return out;
}

function emphasisDifferences(before: readonly Emphasis[] = [], after: readonly Emphasis[] = []): string[] {
  const weight = (of: readonly Emphasis[], words: string) => of.find((e) => e.words === words)?.weight ?? 1;
  return [...new Set([...before, ...after].map((e) => e.words))].flatMap((words) => {
    const [was, is] = [weight(before, words), weight(after, words)];
    return was === is ? [] : [`“${words}” counts ${number(was)} → ${number(is)}`];
  });
}

function startDifferences(a: TrialState['settings'], b: TrialState['settings']): string[] {
  const out: string[] = [];
  if (a.start && !b.start) out.push('start picture taken away');
  else if (!a.start && b.start) out.push(`start picture, changed ${percent(b.start.change)}`);
  else if (a.start && b.start) {
    if (a.start.id !== b.start.id) out.push('start picture replaced');
    if (a.start.change !== b.start.change) out.push(`change ${percent(a.start.change)} → ${percent(b.start.change)}`);
  }
  if (a.mask?.content !== b.mask?.content)
    out.push(!b.mask ? 'mask taken away' : !a.mask ? 'mask painted' : 'mask painted anew');
  return out;
}

function influenceDifferences<I extends TrialInfluence>(was: I, is: I, name: (influence: I) => string): string[] {
  const out: string[] = [];
  const called = name(is);
  if (was.referenceId !== is.referenceId) out.push(`${name(was)} replaced by ${called}`);
  if (was.on !== is.on) out.push(`${called} ${is.on ? 'on' : 'off'}`);
  if (was.weight !== is.weight) out.push(`${called} ${number(was.weight)} → ${number(is.weight)}`);
  if (was.from !== is.from || was.to !== is.to)
    out.push(`${called} from ${percent(was.from)}–${percent(was.to)} to ${percent(is.from)}–${percent(is.to)}`);
  if (was.gives !== is.gives) out.push(`${called} gives ${is.gives} instead of ${was.gives}`);
  if (was.reading !== is.reading) out.push(`${called} read ${is.reading} instead of ${was.reading}`);
  if ((was.motif ?? 1) !== (is.motif ?? 1))
    out.push(`strokes of ${called} ${percent(was.motif ?? 1)} → ${percent(is.motif ?? 1)}`);
  if (was.subject !== is.subject) out.push(`${called} acts on ${is.subject ?? 'everybody'}`);
  if ((was.parts ?? []).join() !== (is.parts ?? []).join())
    out.push(`${called} carries ${is.parts?.join(', ') ?? 'everything'}`);
  if ((was.fill ?? 'inside') !== (is.fill ?? 'inside')) out.push(`${called} filled ${is.fill ?? 'inside'}`);
  if (was.region?.content !== is.region?.content)
    out.push(!is.region ? `${called} acts everywhere` : `${called} bound to a${was.region ? 'nother' : ''} region`);
  const [less, more] = [was.except ?? [], is.except ?? []];
  if (less.join() !== more.join()) out.push(`${called} without ${more.length} of its pictures`);
  return out;
}
