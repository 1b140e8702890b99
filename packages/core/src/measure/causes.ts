import { clamp, median } from '../maths/scalar';
import type { KnownName } from '../prompt/brief';
import { mediumWords } from '../prompt/edit';
import type { TraitSheet } from '../traits/types';
import { contraryWords, farOff, type ContraryWords } from './contrary';
import type { Slipped, Cause, JudgedInfluence, ShotFacts } from './shotFacts';
import { allBut } from './robust';

/** What is behind a shot that falls out. */
export interface FoundCause {
  readonly cause: Cause;
  /** Told in a sentence. */
  readonly sentence: string;
  /** Keys of own settings, stretches of words or ids of influences that are behind it. */
  readonly behind: readonly string[];
}

/** What is told of a shot besides the shots: names to speak with, and how high the pictures are. */
export interface CauseContext {
  readonly names: readonly KnownName[];
  /** Height of the pictures in px. */
  readonly height: number;
  /** The name of what stands behind an influence, also of one that a single shot has added. */
  readonly nameOf: (influence: string) => string;
}

const round = (v: number) => String(Math.round(v * 100) / 100);
const percent = (v: number) => `${Math.round(v * 100)} %`;

/** From here on a setting or another reference has taken the most of an influence. */
const HALF = 0.5;
/** What stays with somebody from picture to picture: clothes may be changed on purpose. */
const LASTING: ReadonlySet<string> = new Set(['hair', 'beard', 'glasses', 'skin']);
/** What a trait has to be read with before it clears a shot. */
const READ = 0.3;

/** A cause with how strongly the facts speak for it. */
type Scored = FoundCause & {
  readonly score: number;
  /** Whether it is enough by itself, unless the picture shows that nothing came of it. */
  readonly enough?: boolean;
};

/** A reason that stands in the words and settings of a shot, whatever its picture shows. */
export type Reason = FoundCause & { readonly enough: boolean };

/**
 * What in the words and settings of the k-th shot speaks against an influence: an own setting that lets it pull less, another reference
 * that decides more than usual, words that say otherwise. Undefined where nothing does. Nothing of the picture is looked at, but
 * whether its pixels show what the words ask for.
 */
export function reasonOf(
  shots: readonly ShotFacts[],
  k: number,
  aspect: Slipped,
  influence: JudgedInfluence,
  context: CauseContext,
): Reason | undefined {
  const best = strongest(written(shots, k, aspect, influence, context));
  return best && { ...plain(best), enough: best.enough ?? false };
}

/**
 * Why the k-th shot falls out: its circumstances are compared with those of all others, and the one that differs most from what is
 * usual is named. When nothing differs it is the seed.
 */
export function causeOf(
  shots: readonly ShotFacts[],
  k: number,
  aspect: Slipped,
  influence: JudgedInfluence,
  context: CauseContext,
): FoundCause {
  const best = strongest([
    ...written(shots, k, aspect, influence, context),
    ...(aspect === 'identity' ? figureCauses(shots[k], allBut(shots, k), influence, context) : []),
  ]);
  if (best) return plain(best);
  return { cause: 'seed', sentence: 'Nothing else differs from the other shots: it is the seed.', behind: [] };
}

const plain = ({ cause, sentence, behind }: FoundCause): FoundCause => ({ cause, sentence, behind });
const strongest = (found: readonly Scored[]): Scored | undefined => [...found].sort((a, b) => b.score - a.score)[0];

/** What is written in a shot that speaks against an influence. */
function written(
  shots: readonly ShotFacts[],
  k: number,
  aspect: Slipped,
  influence: JudgedInfluence,
  context: CauseContext,
): Scored[] {
  const [shot, others] = [shots[k], allBut(shots, k)];
  return [
    ownSetting(shot, influence),
    otherReference(shot, others, aspect, influence, context),
    aspect === 'identity' ? wordsAgainst(shot, others, influence, context) : undefined,
    aspect === 'arrival' ? undefined : mediumAgainst(shot, others, influence),
  ].filter((c): c is Scored => c !== undefined);
}

function ownSetting({ differs }: ShotFacts, { id, name }: JudgedInfluence): Scored | undefined {
  const weaker = differs.flatMap((d) => {
    const concerns = d.influence === id || d.setting === 'balance';
    if (!concerns || d.setting === 'added') return [];
    const [was, is] = [Number(d.mix), Number(d.own)];
    // how much of the pull is lost: by less weight, a span cut short, or being switched off
    const lost =
      d.setting === 'on'
        ? d.own
          ? 0
          : 1
        : d.setting === 'weight' || d.setting === 'balance' || d.setting === 'to'
          ? (was - is) / Math.max(was, 0.01)
          : d.setting === 'from'
            ? is - was
            : d.setting === 'reading'
              ? 0.3
              : 0;
    return lost > 0.2 ? [{ ...d, lost }] : [];
  });
  if (!weaker.length) return undefined;
  const most = weaker.sort((a, b) => b.lost - a.lost)[0];
  const value = (v: number | string | boolean | undefined) => (typeof v === 'number' ? round(v) : String(v));
  const what = { weight: 'weight', from: 'begin', to: 'end', on: 'switch', reading: 'reading' }[
    most.setting as 'weight'
  ];
  const sentence =
    most.setting === 'balance'
      ? `This shot has its own balance, ${value(most.own)} instead of ${value(most.mix)}.`
      : most.setting === 'on'
        ? `${name} is switched off for this shot.`
        : most.setting === 'from' || most.setting === 'to'
          ? `${name} ${most.setting === 'from' ? 'begins' : 'ends'} at ${percent(Number(most.own))} of the course here, at ${percent(Number(most.mix))} in the others.`
          : `${name} has its own ${what} here, ${value(most.own)} instead of ${value(most.mix)}.`;
  const enough = most.lost >= HALF;
  return { cause: 'own setting', sentence, behind: weaker.map((d) => d.key), score: 3 + most.lost, enough };
}

function otherReference(
  shot: ShotFacts,
  others: readonly ShotFacts[],
  aspect: Slipped,
  { id, name }: JudgedInfluence,
  { nameOf }: CauseContext,
): Scored | undefined {
  if (aspect === 'arrival') return undefined;
  const sharesOf = (s: ShotFacts) => (aspect === 'identity' ? (s.subjects[id]?.shares ?? {}) : s.surfaceShares);
  const more = Object.entries(sharesOf(shot)).flatMap(([other, share]) => {
    if (other === id) return [];
    const usual = median(others.map((o) => sharesOf(o)[other] ?? 0));
    return share - usual > 0.15 ? [{ other, share, gain: share - usual }] : [];
  });
  if (!more.length) return undefined;
  const most = more.sort((a, b) => b.gain - a.gain)[0];
  const rules = aspect === 'identity' ? 'who is seen' : 'the look';
  return {
    cause: 'other reference',
    sentence: `Here ${nameOf(most.other)} decides ${percent(most.share)} of ${rules}; in the others ${name} does.`,
    behind: [most.other],
    score: 2.6 + clamp(most.gain),
    enough: most.share >= HALF,
  };
}

function wordsAgainst(
  shot: ShotFacts,
  others: readonly ShotFacts[],
  { id, name, subject, sheet }: JudgedInfluence,
  { names }: CauseContext,
): Scored | undefined {
  if (!sheet) return undefined;
  const against = contraryWords(shot.prompt, sheet, subject, names);
  // what most shots say is no reason why one of them falls out
  const usual = (about: string) =>
    others.filter((o) => contraryWords(o.prompt, sheet, subject, names).some((c) => c.about === about)).length >
    others.length / 3;
  const odd = against.filter((c) => !usual(c.about));
  if (!odd.length) return undefined;
  const texts = odd.map((c) => `“${c.text}”`);
  return {
    cause: 'words',
    sentence: `The words say ${texts.join(' and ')}, and ${name} is otherwise.`,
    behind: odd.map((c) => c.text),
    score: 2.5,
    enough: odd.some((c) => LASTING.has(c.about) && !shownOtherwise(shot.subjects[id]?.traits, sheet, c)),
  };
}

/** Whether a picture shows what is known of somebody, and not what the words say of them: a colour that is read near to the sheet's. */
function shownOtherwise(traits: TraitSheet | undefined, sheet: TraitSheet, { about }: ContraryWords): boolean {
  const [seen, known] = [traits?.[about as 'hair'], sheet[about as 'hair']];
  if (!seen || seen.confidence < READ) return false;
  if (seen.colour && known?.colour) return !farOff(seen.colour, known.colour);
  return seen.choice !== undefined && seen.choice === known?.choice;
}

function mediumAgainst(shot: ShotFacts, others: readonly ShotFacts[], { name }: JudgedInfluence): Scored | undefined {
  const own = mediumWords(shot.prompt);
  if (!own.length || others.filter((o) => mediumWords(o.prompt).length).length > others.length / 3) return undefined;
  return {
    cause: 'words',
    sentence: `The words ask for ${own.map((s) => `“${s.text}”`).join(' and ')}, against ${name}.`,
    behind: own.map((s) => s.text),
    score: 2.5,
  };
}

/** From here on a face is turned too far to be known. */
const TURNED = 60;

function figureCauses(
  shot: ShotFacts,
  others: readonly ShotFacts[],
  { id, name }: JudgedInfluence,
  { height }: CauseContext,
): Scored[] {
  const own = shot.subjects[id];
  const rest = others.flatMap((o) => (o.subjects[id]?.there ? [o.subjects[id]] : []));
  if (!own || !rest.length) return [];
  if (!own.there)
    return [
      {
        cause: 'nobody',
        sentence: `Nobody in this picture can be ${name}: its words ask for nobody.`,
        behind: [],
        score: 4,
      },
    ];
  const out: Scored[] = [];
  const away = (s: { readonly yaw?: number }) => s.yaw === undefined || Math.abs(s.yaw) > TURNED;
  if (away(own) && rest.filter(away).length <= rest.length / 3)
    out.push({
      cause: 'turned away',
      sentence: `${name} turns away here, so that the face cannot be told.`,
      behind: [],
      score: 1.5 + (own.yaw === undefined ? 0.4 : 0),
    });
  const sizes = rest.map((s) => s.height);
  const usual = median(sizes);
  if (own.height < 0.6 * usual) {
    const px = (v: number) => Math.round(v * height);
    out.push({
      cause: 'too small',
      sentence: `${name} is ${px(own.height)} px tall here; in the others mostly ${px(usual)}.`,
      behind: [],
      score: 1.4 + clamp(1 - own.height / (0.6 * usual)),
    });
  }
  return out;
}
