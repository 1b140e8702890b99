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

/** One or two things to try for a shot that falls out, the likelier first; each differs from the present plan. */
export function remediesFor<I extends MixInfluence>(
  plan: ShotPlan<I>,
  mix: Omit<MixState, 'influences'> & { readonly influences: readonly I[] },
  { cause, behind }: FoundCause,
  { id, name }: JudgedInfluence,
  nameOf: (influence: string) => string,
): ShotRemedy<I>[] {
  const present = mix.influences.find((i) => i.id === id);
  const weight = plan.own.influences?.[id]?.weight ?? present?.weight ?? 1;
  const withWeight = (own: OwnSettings<I>, influence: string, to: number): OwnSettings<I> => ({
    ...own,
    influences: {
      ...own.influences,
      [influence]: { ...own.influences?.[influence], weight: Math.round(to * 100) / 100 },
    },
  });
  const stronger: ShotRemedy<I> = {
    label: `Let ${name} pull harder`,
    plan: { ...plan, own: withWeight(plan.own, id, clamp(weight * 1.4, 0, STRONGEST)) },
  };
  const seeds = [1, 2].map((k): ShotRemedy<I> => ({
    label: k === 1 ? 'Another seed' : 'One more seed',
    plan: { ...plan, seed: (plan.seed + 7919 * k) % 0x100000000 },
  }));
  const all = ((): ShotRemedy<I>[] => {
    switch (cause) {
      case 'own setting':
        return [
          {
            label: behind.length > 1 ? 'Take its own settings back' : 'Take its own setting back',
            plan: { ...plan, own: behind.reduce((own, key) => withoutOwn(own, key), plan.own) },
          },
          stronger,
        ];
      case 'other reference': {
        const [other] = behind;
        if (plan.own.added?.some((a) => a.id === other))
          return [
            {
              label: `Take ${nameOf(other)} out of this shot`,
              plan: { ...plan, own: withoutOwn(plan.own, `added:${other}`) },
            },
            stronger,
          ];
        const back = ownDifferences(mix, plan.own).filter((d) => d.influence === other);
        const rival = mix.influences.find((i) => i.id === other);
        return [
          back.length
            ? {
                label: `Let ${nameOf(other)} act as in the others`,
                plan: { ...plan, own: back.reduce((own, d) => withoutOwn(own, d.key), plan.own) },
              }
            : {
                label: `Let ${nameOf(other)} pull less`,
                plan: { ...plan, own: withWeight(plan.own, other, (rival?.weight ?? 1) * 0.3) },
              },
          stronger,
        ];
      }
      case 'words': {
        const spans = behind.flatMap((text) => {
          const start = plan.prompt.indexOf(text);
          return start < 0 ? [] : [{ start, end: start + text.length, text }];
        });
        return [
          {
            label: `Leave out ${behind.map((t) => `“${t}”`).join(' and ')}`,
            plan: { ...plan, prompt: withoutWords(plan.prompt, spans) },
          },
          stronger,
        ];
      }
      case 'turned away':
        return [{ label: `Turn ${name} to us`, plan: { ...plan, prompt: facing(plan.prompt) } }, seeds[0]];
      case 'too small':
        return [{ label: `Bring ${name} nearer`, plan: { ...plan, prompt: nearer(plan.prompt) } }, stronger];
      case 'nobody':
        return [
          {
            label: `Put ${name} into the words`,
            plan: { ...plan, prompt: `half figure of ${name}, ${plan.prompt}` },
          },
        ];
      case 'seed':
        return [...seeds.slice(0, 1), stronger];
    }
  })();
  const same = JSON.stringify(plan);
  return all.filter((m) => JSON.stringify(m.plan) !== same && m.plan.prompt.trim()).slice(0, 2);
}
