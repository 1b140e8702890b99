/**
 * The words that the painter understands. Each line: the value on an axis, then the words and phrases for it, singular
 * and in their plain form (plurals and -ing, -ed forms are found by themselves). Longer phrases win over shorter ones.
 */
export type Axis =
  | 'time'
  | 'weather'
  | 'season'
  | 'place'
  | 'framing'
  | 'action'
  | 'view'
  | 'expression'
  | 'subject'
  | 'thing'
  | 'medium';

type Lines = Readonly<Record<string, readonly string[]>>;

export const VOCABULARY: Readonly<Record<Axis, Lines>> = {
  time: {
    dawn: ['dawn', 'daybreak', 'sunrise', 'first light', 'break of day'],
    morning: ['morning', 'early day', 'forenoon'],
    noon: ['noon', 'midday', 'day', 'daylight', 'sunny', 'sunshine', 'afternoon', 'bright day'],
    dusk: ['dusk', 'sunset', 'evening', 'twilight', 'nightfall', 'sundown', 'last light'],
    night: ['night', 'midnight', 'starry', 'star', 'dark'],
    moonlight: ['moonlight', 'moonlit', 'moon', 'full moon', 'under the moon'],
  },
  weather: {
    clear: ['clear', 'fair weather', 'fine weather', 'calm weather'],
    cloudy: ['cloudy', 'cloud', 'overcast', 'grey sky'],
    fog: ['fog', 'foggy', 'mist', 'misty', 'haze', 'hazy'],
    rain: ['rain', 'rainy', 'drizzle', 'shower', 'downpour'],
    storm: ['storm', 'stormy', 'gale', 'tempest', 'thunder'],
    snow: ['snow', 'snowy', 'snowfall', 'snowing', 'ice', 'icy', 'frost', 'frosty', 'frozen'],
  },
  season: {
    spring: ['spring', 'springtime', 'blossom', 'march', 'april', 'may'],
    summer: ['summer', 'summertime', 'june', 'july', 'august'],
    autumn: ['autumn', 'autumnal', 'september', 'october', 'november', 'harvest'],
    winter: ['winter', 'wintry', 'december', 'january', 'february'],
  },
  place: {
    marsh: ['marsh', 'salt marsh', 'wetland', 'fen', 'mudflat', 'tidal flat', 'shallows', 'bank', 'marshland'],
    'reed channel': ['reed', 'reed channel', 'reed bed', 'channel', 'creek', 'among reeds', 'inlet'],
    'stilt village': ['stilt village', 'stilt house', 'stilt', 'village', 'houses on stilts', 'jetty', 'hamlet'],
    lighthouse: ['lighthouse', 'light house', 'beacon', 'rock', 'cliff', 'headland'],
    harbour: ['harbour', 'harbor', 'quay', 'port', 'market', 'market quay', 'town', 'waterfront', 'dock'],
    mill: ['mill', 'windmill', 'dyke', 'dike', 'polder', 'mill by the dyke'],
    'open sea': ['sea', 'open sea', 'ocean', 'open water', 'wave', 'high sea'],
    pier: ['pier', 'winter pier', 'landing stage', 'boardwalk'],
  },
  framing: {
    portrait: ['portrait', 'head and shoulders', 'close-up', 'close up', 'face', 'head'],
    'half figure': ['half figure', 'half length', 'waist up', 'from the waist up', 'half-figure'],
    'full figure': ['full figure', 'full length', 'whole figure', 'full-figure'],
    'wide view': ['wide view', 'wide', 'panorama', 'landscape', 'far view', 'vista', 'distant view'],
  },
  action: {
    stand: ['stand', 'wait', 'look', 'watch', 'rest'],
    walk: ['walk', 'stroll', 'stride', 'come', 'go', 'wander', 'return'],
    pole: ['pole', 'punt', 'push the punt', 'poling the punt', 'pole the punt', 'row', 'drift', 'ferry', 'paddle'],
    read: ['read', 'letter', 'read a letter', 'open a letter', 'deliver', 'bring a letter', 'hold a letter'],
    'hold a lantern': ['lantern', 'hold a lantern', 'carry a lantern', 'lamp', 'with a lantern'],
    wave: ['wave', 'waving', 'greet', 'call', 'beckon', 'wave hello', 'wave goodbye'],
  },
  view: {
    front: ['front', 'frontal', 'from the front', 'facing us', 'front view'],
    'three-quarter': ['three-quarter', 'three quarter', 'three-quarter view', 'half turned'],
    profile: ['profile', 'in profile', 'side view', 'from the side', 'side'],
  },
  expression: {
    calm: ['calm', 'quiet', 'still', 'serene', 'thoughtful'],
    smile: ['smile', 'happy', 'cheerful', 'glad', 'content', 'friendly'],
    laugh: ['laugh', 'joyful', 'merry', 'delighted'],
    worried: ['worried', 'sad', 'anxious', 'afraid', 'troubled'],
    surprised: ['surprised', 'astonished', 'amazed', 'startled'],
    stern: ['stern', 'serious', 'angry', 'determined'],
  },
  subject: {
    Ilse: ['ilse', 'postwoman', 'letter carrier', 'post girl', 'girl', 'young woman'],
    Brom: ['brom', 'heron', 'grey heron'],
    Tove: ['tove', 'lamp keeper', 'woman', 'keeper'],
    Marek: ['marek', 'miller', 'old man', 'old marek', 'man'],
    Juna: ['juna', 'child', 'kid', 'boy', 'net-mender'],
  },
  thing: {
    boat: ['boat', 'skiff', 'rowing boat', 'dinghy'],
    'sailing boat': ['sailing boat', 'sail', 'yacht', 'ship', 'sailboat'],
    gulls: ['gull', 'seagull', 'bird', 'flock'],
    'stilt house': ['house', 'hut', 'cottage'],
    mill: ['a mill behind', 'mill in the distance'],
    lighthouse: ['lighthouse in the distance', 'lighthouse behind'],
  },
  medium: {
    gouache: ['gouache', 'poster paint', 'painted'],
    'ink wash': ['ink', 'ink wash', 'pen and wash', 'watercolour'],
    linocut: ['linocut', 'lino', 'carved', 'block print'],
    pastel: ['pastel', 'chalk', 'crayon'],
    'paper-cut': ['paper-cut', 'paper cut', 'cut paper', 'collage'],
    woodblock: ['woodblock', 'woodcut', 'wood block'],
  },
};

/** Words of grammar: neither drawn nor missed. */
export const GRAMMAR: ReadonlySet<string> = new Set(
  (
    'a an the and or but with without no not of in on at by to from for into onto over under near beside behind between among ' +
    'before after while as is are was were be been being has have had it its she he her his they their them this that these ' +
    'those who which where when there here very so too then than up down out off through across along toward towards ' +
    'one two three some many few more most all both each every other another same just only also picture plate painting ' +
    'drawing illustration scene view look style like i we you us our your my me do does did get gets got set sets light home ' +
    'carrying carries carry holds holding'
  ).split(' '),
);

/** Words that turn the next thing into one that shall not appear. */
export const NEGATIONS: ReadonlySet<string> = new Set(['no', 'without', 'not', 'never']);
