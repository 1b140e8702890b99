import type { Words } from './words';

/** Words for the whole picture: one value each of time, weather, season, light, framing, medium. */
export const AXES: Readonly<
  Record<'time' | 'weather' | 'season' | 'light' | 'framing' | 'medium' | 'camera', Readonly<Record<string, Words>>>
> = {
  time: {
    dawn: ['dawn', 'daybreak', 'sunrise', 'first light', 'break of day', 'cockcrow'],
    morning: ['morning', 'early day', 'forenoon', 'breakfast time'],
    noon: ['noon', 'midday', 'day', 'daylight', 'daytime', 'sunny', 'sunshine', 'sunlit', 'afternoon', 'bright day'],
    dusk: ['dusk', 'sunset', 'evening', 'twilight', 'nightfall', 'sundown', 'last light', 'golden hour', 'gloaming'],
    night: ['night', 'midnight', 'starry', 'star', 'starlight', 'dark night', 'nighttime', 'at night'],
    moonlight: ['moonlight', 'moonlit', 'moon', 'full moon', 'under the moon', 'moonrise'],
  },
  weather: {
    clear: ['clear', 'fair weather', 'fine weather', 'calm weather', 'cloudless', 'blue sky'],
    cloudy: ['cloudy', 'cloud', 'overcast', 'grey sky', 'dull weather'],
    fog: ['fog', 'foggy', 'mist', 'misty', 'haze', 'hazy'],
    rain: ['rain', 'rainy', 'drizzle', 'shower', 'downpour', 'wet weather', 'pouring'],
    storm: ['storm', 'stormy', 'gale', 'tempest', 'thunder', 'thunderstorm', 'lightning'],
    snow: ['snow', 'snowy', 'snowfall', 'snowing', 'blizzard', 'ice', 'icy', 'frost', 'frosty', 'frozen', 'snowflake'],
    wind: ['wind', 'windy', 'breeze', 'breezy', 'gust', 'blustery', 'windswept'],
  },
  season: {
    spring: ['spring', 'springtime', 'blossom', 'in blossom', 'march', 'april', 'may'],
    summer: ['summer', 'summertime', 'june', 'july', 'august', 'midsummer'],
    autumn: ['autumn', 'autumnal', 'september', 'october', 'november', 'harvest', 'falling leaf'],
    winter: ['winter', 'wintry', 'wintertime', 'december', 'january', 'february'],
  },
  light: {
    backlit: ['backlit', 'against the light', 'silhouetted', 'light from behind', 'lit from behind', 'silhouette'],
    lamplight: [
      'lamplight',
      'lamplit',
      'candlelight',
      'candlelit',
      'firelight',
      'by candle',
      'by lamp',
      'lit by a lamp',
    ],
  },
  framing: {
    portrait: ['portrait', 'head and shoulders', 'close-up', 'close up', 'face', 'head', 'close to us'],
    'half figure': ['half figure', 'half length', 'waist up', 'from the waist up', 'half-figure'],
    'full figure': ['full figure', 'full length', 'whole figure', 'full-figure', 'head to toe'],
    'wide view': [
      'wide view',
      'wide',
      'panorama',
      'landscape',
      'far view',
      'vista',
      'distant view',
      'wide shot',
      'tiny',
    ],
  },
  camera: {
    above: ['from above', 'high view', 'looking down on', "bird's eye view", 'birds eye view', 'seen from a height'],
    below: ['from below', 'low view', 'from the ground', "worm's eye view", 'worms eye view'],
  },
  medium: {
    gouache: ['gouache', 'poster paint', 'painted'],
    'ink wash': ['ink', 'ink wash', 'pen and wash', 'watercolour', 'watercolor'],
    linocut: ['linocut', 'lino', 'carved', 'block print'],
    pastel: ['pastel', 'chalk', 'crayon'],
    'paper-cut': ['paper-cut', 'paper cut', 'cut paper', 'collage', 'papercut'],
    woodblock: ['woodblock', 'woodcut', 'wood block'],
    embroidery: ['embroidery', 'embroidered', 'stitched', 'needlework', 'cross stitch', 'sewn'],
    cyanotype: ['cyanotype', 'blueprint', 'sun print'],
    'screen print': ['screen print', 'screen printed', 'silkscreen', 'two-colour print', 'two colour screen print'],
    impasto: ['impasto', 'oil', 'oil paint', 'oil painting', 'thick paint', 'palette knife'],
    charcoal: ['charcoal', 'charcoal drawing', 'burnt stick'],
    pencil: ['pencil', 'pencil line', 'pencil drawing', 'graphite', 'line drawing', 'pencilled'],
    'stained glass': ['stained glass', 'glass window', 'leaded glass', 'church window'],
  },
};
