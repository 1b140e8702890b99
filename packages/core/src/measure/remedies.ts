import { clamp } from '../maths/scalar';
import { facing, nearer, withoutWords } from '../prompt/edit';
import { ownDifferences, withoutOwn, type OwnSettings, type ShotPlan } from '../mix/own';
import type { MixInfluence, MixState } from '../mix/mix';
import type { FoundCause } from './causes';
import type { JudgedInfluence } from './shotFacts';

/** Something that may bring a shot back: a plan of the shot in the place of its present one. */
export interface ShotRemedy<I extends MixInfluence = MixInfluence> {
  /** What it does, as an order: "Bring Ilse nearer". */
  readonly label: string;
  readonly plan: ShotPlan<I>;
}

/** The strongest weight that a remedy proposes. */
const STRONGEST = 2;

/** The shot that falls out, as remedies see it. */
interface Fallen<I extends MixInfluence> {
  readonly plan: ShotPlan<I>;
  readonly mix: Omit<MixState, 'influences'> & { readonly influences: readonly I[] };
  /** What stands behind the cause: own settings, another reference, or words. */
  readonly behind: readonly string[];
  /** Whom the shot falls out by. */
  readonly judged: JudgedInfluence;
  readonly nameOf: (influence: string) => string;
}

/** One or two things to try for a shot that falls out, the likelier first; each differs from the present plan. */
export function remediesFor<I extends MixInfluence>(
  plan: ShotPlan<I>,
  mix: Fallen<I>['mix'],
  { cause, behind }: FoundCause,
  judged: JudgedInfluence,
  nameOf: (influence: string) => string,
): ShotRemedy<I>[] {
  const same = JSON.stringify(plan);
  return REMEDIES[cause]({ plan, mix, behind, judged, nameOf })
    .filter((r) => JSON.stringify(r.plan) !== same && r.plan.prompt.trim())
    .slice(0, 2);
}

type Remedies = <I extends MixInfluence>(fallen: Fallen<I>) => ShotRemedy<I>[];

const weighing = <I extends MixInfluence>(own: OwnSettings<I>, influence: string, to: number): OwnSettings<I> => ({
  ...own,
  influences: {
    ...own.influences,
    [influence]: { ...own.influences?.[influence], weight: Math.round(to * 100) / 100 },
  },
});

function stronger<I extends MixInfluence>({ plan, mix, judged: { id, name } }: Fallen<I>): ShotRemedy<I> {
  const present = mix.influences.find((i) => i.id === id);
  const weight = plan.own.influences?.[id]?.weight ?? present?.weight ?? 1;
  return {
    label: `Let ${name} pull harder`,
    plan: { ...plan, own: weighing(plan.own, id, clamp(weight * 1.4, 0, STRONGEST)) },
  };
}

const anotherSeed = <I extends MixInfluence>({ plan }: Fallen<I>): ShotRemedy<I> => ({
  label: 'Another seed',
  plan: { ...plan, seed: (plan.seed + 7919) % 0x100000000 },
});

/** Another reference holds against it: it goes, acts as in the other shots, or pulls less. */
function quieter<I extends MixInfluence>({ plan, mix, behind: [other], nameOf }: Fallen<I>): ShotRemedy<I> {
  if (plan.own.added?.some((a) => a.id === other))
    return {
      label: `Take ${nameOf(other)} out of this shot`,
      plan: { ...plan, own: withoutOwn(plan.own, `added:${other}`) },
    };
  const back = ownDifferences(mix, plan.own).filter((d) => d.influence === other);
  if (back.length)
    return {
      label: `Let ${nameOf(other)} act as in the others`,
      plan: { ...plan, own: back.reduce((own, d) => withoutOwn(own, d.key), plan.own) },
    };
  const rival = mix.influences.find((i) => i.id === other);
  return {
    label: `Let ${nameOf(other)} pull less`,
    plan: { ...plan, own: weighing(plan.own, other, (rival?.weight ?? 1) * 0.3) },
  };
}

function withoutThose<I extends MixInfluence>({ plan, behind }: Fallen<I>): ShotRemedy<I> {
  const spans = behind.flatMap((text) => {
    const start = plan.prompt.indexOf(text);
    return start < 0 ? [] : [{ start, end: start + text.length, text }];
  });
  return {
    label: `Leave out ${behind.map((t) => `“${t}”`).join(' and ')}`,
    plan: { ...plan, prompt: withoutWords(plan.prompt, spans) },
  };
}

const asTheOthers = <I extends MixInfluence>({ plan, behind }: Fallen<I>): ShotRemedy<I> => ({
  label: behind.length > 1 ? 'Take its own settings back' : 'Take its own setting back',
  plan: { ...plan, own: behind.reduce((own, key) => withoutOwn(own, key), plan.own) },
});

/** The shot with other words. */
const worded = <I extends MixInfluence>({ plan }: Fallen<I>, label: string, prompt: string): ShotRemedy<I> => ({
  label,
  plan: { ...plan, prompt },
});

/** What may help against each cause, the likelier first. */
const REMEDIES: Readonly<Record<FoundCause['cause'], Remedies>> = {
  'own setting': (f) => [asTheOthers(f), stronger(f)],
  'other reference': (f) => [quieter(f), stronger(f)],
  words: (f) => [withoutThose(f), stronger(f)],
  'turned away': (f) => [worded(f, `Turn ${f.judged.name} to us`, facing(f.plan.prompt)), anotherSeed(f)],
  'too small': (f) => [worded(f, `Bring ${f.judged.name} nearer`, nearer(f.plan.prompt)), stronger(f)],
  nobody: (f) => [
    worded(f, `Put ${f.judged.name} into the words`, `half figure of ${f.judged.name}, ${f.plan.prompt}`),
  ],
  seed: (f) => [anotherSeed(f), stronger(f)],
};
