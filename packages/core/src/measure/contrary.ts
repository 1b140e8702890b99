import { lchToLab } from '../colour/oklch';
import type { Lab } from '../colour/oklab';
import type { KnownName, PersonBrief, SceneBrief, TextSpan } from '../prompt/brief';
import { briefOf, personFor } from '../prompt/edit';
import type { Trait, TraitSheet } from '../traits/types';

/** Words of a prompt that say something else than what is known of a character. */
export interface ContraryWords {
  /** What they contradict, in words: "hair", "beard", ... */
  readonly about: string;
  readonly spans: readonly TextSpan[];
  /** The stretches together, as they stand in the prompt. */
  readonly text: string;
}

/** How sure a trait has to be before words can contradict it, and how far off a colour has to be. */
const SURE = 0.35;
const FAR = 0.13;

const sure = (t: Trait | undefined): Trait | undefined => (t && t.confidence >= SURE ? t : undefined);
/** Whether two colours of one thing are others, OKLab: light may change lightness more than hue. */
export const farOff = (a: Lab, b: Lab): boolean => Math.hypot(0.7 * (a[0] - b[0]), a[1] - b[1], a[2] - b[2]) > FAR;

const HEADWEAR = new Set(['hat', 'straw hat', 'beret', 'knit cap', 'flat cap', 'cap', 'hood', 'crown', 'headscarf']);

/** Whether hair words and a style that was read can be the same: "two plaits" is no bob, but it is a plait. */
function otherStyle(said: string, read: string): boolean {
  const [a, b] = [said.toLowerCase(), read.toLowerCase()];
  return !a.includes(b) && !b.includes(a) && !(a.includes('plait') && b.includes('plait'));
}

/** The words of `prompt` that contradict what `sheet` says of a subject. */
export function contraryWords(
  prompt: string,
  sheet: TraitSheet,
  subject?: string,
  names: readonly KnownName[] = [],
): ContraryWords[] {
  const brief = briefOf(prompt, names);
  const person = personFor(brief, subject);
  if (!person) return [];
  return [
    ...hairWords(brief, person, sheet),
    ...faceWords(brief, person, sheet),
    ...clothesWords(brief, person, sheet),
  ];
}

const said = (about: string, prompt: string, spans: readonly TextSpan[]): ContraryWords[] => {
  if (!spans.length) return [];
  const [from, to] = [Math.min(...spans.map((s) => s.start)), Math.max(...spans.map((s) => s.end))];
  return [{ about, spans: [{ start: from, end: to, text: prompt.slice(from, to) }], text: prompt.slice(from, to) }];
};

/** Spans of the given meanings; a colour only where it stands just before a span of `near`. */
function found(brief: SceneBrief, means: readonly string[], near?: string): TextSpan[] {
  const { understood } = brief;
  return understood.filter((u, k) => {
    if (!means.includes(u.means)) return false;
    if (!near || !u.means.startsWith('colour:')) return true;
    return understood.slice(k + 1, k + 3).some((next) => next.means === near && next.start - u.end < 12);
  });
}

function hairWords(brief: SceneBrief, { hair }: PersonBrief, sheet: TraitSheet): ContraryWords[] {
  const [colour, style] = [sure(sheet.hair), sure(sheet['hair style'])];
  const wrongColour = hair?.colour && colour?.colour && farOff(lchToLab(hair.colour.lch), colour.colour);
  const wrongStyle = hair?.style && style?.choice && otherStyle(hair.style, style.choice);
  if (!hair || (!wrongColour && !wrongStyle)) return [];
  return said('hair', brief.text, [
    ...(wrongColour ? found(brief, [`colour: ${hair.colour!.name}`, 'feature: hair'], 'feature: hair') : []),
    ...(hair.style ? found(brief, [`feature: ${hair.style}`]) : []),
  ]);
}

function faceWords(brief: SceneBrief, person: PersonBrief, sheet: TraitSheet): ContraryWords[] {
  const out: ContraryWords[] = [];
  if (person.beard && sure(sheet.beard)?.choice === 'no')
    out.push(...said('beard', brief.text, found(brief, ['feature: beard'])));
  if (person.glasses && sure(sheet.glasses)?.choice === 'no')
    out.push(...said('glasses', brief.text, found(brief, ['feature: glasses'])));
  const skin = sure(sheet.skin)?.colour;
  const light = skin?.[0] ?? 0.6;
  if (skin && ((person.skin === 'pale' && light < 0.6) || (person.skin && person.skin !== 'pale' && light > 0.66)))
    out.push(...said('skin', brief.text, found(brief, [`skin: ${person.skin}`])));
  return out;
}

function clothesWords(brief: SceneBrief, { garments, outfit }: PersonBrief, sheet: TraitSheet): ContraryWords[] {
  // other clothes by name are no contradiction
  if (outfit) return [];
  const out: ContraryWords[] = [];
  const upper = sure(sheet.upper)?.colour;
  for (const { kind, colour } of garments) {
    const name = `garment: ${kind}`;
    if (HEADWEAR.has(kind) && sure(sheet.headwear)?.choice === 'none')
      out.push(...said('headwear', brief.text, found(brief, [name])));
    else if (colour && upper && farOff(lchToLab(colour.lch), upper))
      out.push(...said('clothes', brief.text, found(brief, [`colour: ${colour.name}`, name], name)));
  }
  return out;
}
