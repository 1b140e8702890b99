import { MAX_PROMPT_LENGTH } from './brief';
import type {
  Action,
  Entity,
  Framing,
  KnownName,
  Medium,
  PlaceName,
  Relation,
  SceneBrief,
  Season,
  Time,
  Weather,
} from './brief';
import type { EntityDraft } from './draft';
import { LANDMARKS } from './english/places';
import type { Axis } from './lexicon';
import { draftsOf, outfitsOf } from './knownNames';
import { Reader } from './reader';

/** The most entities, and the most people, of one picture. */
export const MAX_ENTITIES = 14;
export const MAX_PEOPLE = 4;

/** Where a creature lives, if the words name no place. */
const HABITAT: Readonly<Record<string, PlaceName>> = {
  whale: 'open sea',
  fish: 'open sea',
  seal: 'beach',
  crab: 'beach',
  turtle: 'beach',
  fox: 'meadow',
  rabbit: 'meadow',
  cow: 'meadow',
  sheep: 'meadow',
  horse: 'meadow',
  butterfly: 'meadow',
  deer: 'forest',
  bear: 'forest',
  wolf: 'forest',
  squirrel: 'forest',
  hedgehog: 'forest',
  owl: 'forest',
  pig: 'meadow',
  hen: 'village street',
  mouse: 'kitchen',
};

/** Places with a roof. */
export const INDOORS: ReadonlySet<string> = new Set(['boathouse', 'kitchen', 'attic', 'greenhouse']);

const INDOOR_THINGS: Readonly<Record<string, PlaceName>> = {
  stove: 'kitchen',
  table: 'kitchen',
  teapot: 'kitchen',
  bed: 'attic',
  shelf: 'attic',
  clock: 'attic',
  rug: 'attic',
  campfire: 'forest',
  tent: 'forest',
  'street lamp': 'village street',
  haystack: 'meadow',
  scarecrow: 'meadow',
  balloon: 'meadow',
  tree: 'meadow',
  cottage: 'meadow',
  'sailing boat': 'open sea',
  boat: 'beach',
  anchor: 'harbour',
  shell: 'beach',
  bicycle: 'village street',
  'post box': 'village street',
  well: 'town square',
  statue: 'town square',
  snowman: 'town square',
  peaks: 'mountains',
};

/**
 * Reads a prompt: words -> what to draw. `avoid` holds words that shall not appear, with or without a "no" before them; a "no ..." or
 * "without ..." in the text does the same. Unknown words are reported in `unheard`, never silently dropped. Text beyond
 * {@link MAX_PROMPT_LENGTH} characters is not read. `names` are people and creatures whom the studio knows, with their
 * descriptions. Deterministic; never throws.
 */
export function understand(prompt: string, avoid = '', names: readonly KnownName[] = []): SceneBrief {
  const text = prompt.slice(0, MAX_PROMPT_LENGTH);
  const known = draftsOf(names);
  const reader = new Reader(known, outfitsOf(names));
  reader.read(text);
  const refused = new Set(reader.refused);
  if (avoid.trim()) {
    const unwanted = new Reader(known);
    unwanted.read(avoid.slice(0, MAX_PROMPT_LENGTH));
    for (const e of unwanted.entities.filter((d) => d.kind !== 'person' || d.cast || d.name || d.age))
      refused.add(
        (e.cast ?? e.name) ? `cast: ${e.cast ?? e.name}` : e.kind === 'person' ? 'person' : `${e.kind}: ${e.what}`,
      );
    for (const [axis, values] of unwanted.heard) for (const v of values) refused.add(`${axis}: ${v}`);
    for (const e of unwanted.entities) for (const g of e.garments) refused.add(`garment: ${g.kind}`);
    // "no boats" is unwanted just as "boats" is
    for (const value of unwanted.refused) refused.add(value);
  }
  const all = (axis: Axis) => (reader.heard.get(axis) ?? []).filter((value) => !refused.has(`${axis}: ${value}`));
  const drafts = reader.entities.filter((e) => !isRefused(e, refused));
  const weathers = all('weather');
  const weather = (weathers.includes('snow') ? 'snow' : (weathers[0] ?? 'clear')) as Weather;
  const times = all('time');
  const { place, landmarks } = decidePlace(reader, drafts, refused);
  for (const { thing, near } of landmarks)
    if (!drafts.some((e) => e.what === thing))
      drafts.push({
        kind: 'thing',
        what: thing,
        count: 1,
        distance: near ? undefined : 'far',
        garments: [],
        bare: [],
        holds: [],
      });
  const night = times.length === 0 && (place === 'night sky' || reader.places.some((p) => p.place === 'night sky'));
  for (const e of drafts) if (e.kind === 'person') e.view ??= reader.general.view;
  const light = all('light')[0] as SceneBrief['light'];
  const kept = keptOf(drafts);
  const brief = {
    text,
    time: (times.includes('moonlight')
      ? 'moonlight'
      : (times[0] ?? (night ? 'night' : light === 'lamplight' ? 'dusk' : 'noon'))) as Time,
    weather,
    season: (all('season')[0] ?? (weather === 'snow' ? 'winter' : 'summer')) as Season,
    place,
    framing: (all('framing')[0] ?? 'full figure') as Framing,
    light,
    camera: all('camera')[0] as SceneBrief['camera'],
    entities: finish(kept, refused),
    avoid: [...refused],
    medium: all('medium')[0] as Medium | undefined,
    inks: reader.inks,
    understood: reader.understood,
    unheard: reader.unheard,
  };
  return { ...brief, ...reader.tracker.claims(brief, kept) };
}

function isRefused(e: EntityDraft, refused: ReadonlySet<string>): boolean {
  if (e.kind === 'person' && refused.has('person')) return true;
  if (e.cast ?? e.name)
    return refused.has(`cast: ${e.cast ?? e.name}`) || (e.cast === 'Brom' && refused.has('creature: heron'));
  if (e.kind === 'person') return false;
  return refused.has(`${e.kind}: ${e.what}`);
}

/** The setting is where things are "in" or "at"; other places become landmarks in the distance. */
function decidePlace(
  reader: Reader,
  drafts: readonly EntityDraft[],
  refused: ReadonlySet<string>,
): { place: PlaceName; landmarks: { thing: string; near: boolean }[] } {
  const mentions = reader.places.filter((p) => !refused.has(`place: ${p.place}`));
  const settles = (how?: string) => how === 'in' || how === 'at' || how === 'on';
  const weight = (p: (typeof mentions)[number], i: number): number => {
    let w = -i * 0.01;
    if (settles(p.how)) w += 2;
    if (p.how === 'beside' || p.how === 'behind' || p.how === 'before' || p.how === 'over') w -= 1;
    if (p.distance === 'far') w -= 4;
    if (p.place === 'night sky' || p.place === 'open sea') w -= 1.5;
    return w;
  };
  const sorted = [...mentions].sort((a, b) => weight(b, mentions.indexOf(b)) - weight(a, mentions.indexOf(a)));
  const act = (action: Action) => drafts.some((e) => e.action === action);
  const usual = (): PlaceName => {
    if (act('pole')) return 'reed channel';
    if (act('row')) return 'open sea';
    for (const e of drafts) {
      if (e.cast === 'Brom') return 'marsh';
      const home = e.kind === 'creature' ? HABITAT[e.what] : e.kind === 'thing' ? INDOOR_THINGS[e.what] : undefined;
      if (home) return home;
    }
    return drafts.some((e) => e.kind === 'person' && !e.cast) ? 'meadow' : 'marsh';
  };
  // "in front of a greenhouse" is outside of it
  const outside = sorted.length > 0 && INDOORS.has(sorted[0].place) && weight(sorted[0], 0) < -0.5;
  const place = (outside ? usual() : (sorted[0]?.place ?? usual())) as PlaceName;
  const landmarks = sorted
    .slice(outside ? 0 : 1)
    .filter((p) => p.place !== place)
    .map((p) => ({ thing: LANDMARKS[p.place], near: p.how === 'before' || p.how === 'beside' }))
    .filter(({ thing }) => !!thing && !refused.has(`thing: ${thing}`));
  return { place, landmarks };
}

/** As many drafts as one picture holds. */
function keptOf(drafts: readonly EntityDraft[]): EntityDraft[] {
  const kept: EntityDraft[] = [];
  let people = 0;
  for (const e of drafts) {
    if (kept.length >= MAX_ENTITIES) break;
    if (e.kind === 'person') {
      if (people >= MAX_PEOPLE) continue;
      e.count = Math.min(e.count, MAX_PEOPLE - people);
      people += e.count;
    }
    kept.push(e);
  }
  return kept;
}

/** Drafts -> entities, relations as indexes. */
function finish(kept: readonly EntityDraft[], refused: ReadonlySet<string>): Entity[] {
  return kept.map((e): Entity => {
    const target = e.relation ? kept.indexOf(e.relation.target) : -1;
    const also = e.relation?.also.map((o) => kept.indexOf(o)).filter((k) => k >= 0);
    const relation: Relation | undefined =
      e.relation && target >= 0 ? { how: e.relation.how, target, ...(also?.length ? { also } : {}) } : undefined;
    // "on thrones": as many as sit on them
    const sitters =
      e.relation?.how === 'on' && !e.counted
        ? [e.relation.target, ...e.relation.also].reduce((n, o) => n + o.count, 0)
        : e.count;
    const placed = {
      count: Math.min(e.count, Math.max(1, sitters)),
      size: e.size,
      side: e.side,
      distance: e.distance,
      relation,
    };
    const garments = e.garments.filter((g) => !refused.has(`garment: ${g.kind}`));
    const { kind, what, cast, name, nameOnly, colour, action, view, holds, outfit: worn, ...traits } = e;
    const outfit = worn ? { outfit: worn } : {};
    if (kind === 'thing') return { kind, thing: what, colour, ...placed };
    if (kind === 'creature')
      return {
        kind,
        species: what,
        cast,
        name,
        ...(nameOnly ? { nameOnly } : {}),
        colour,
        action,
        view,
        garments,
        ...outfit,
        ...placed,
      };
    const {
      age,
      sex,
      build,
      skin,
      hair,
      beard,
      moustache,
      freckles,
      glasses,
      earring,
      eyes,
      clothes,
      bare,
      expression,
    } = traits;
    const looks = { age, sex, build, skin, hair, beard, moustache, freckles, glasses, earring, eyes };
    const inHand = holds.filter((h) => !refused.has(`thing: ${h.what}`));
    return {
      kind,
      cast,
      name,
      ...(nameOnly ? { nameOnly } : {}),
      ...looks,
      garments,
      clothes,
      ...outfit,
      bare,
      holds: inHand,
      action,
      expression,
      view,
      ...placed,
    };
  });
}
