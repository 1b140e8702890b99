import { pictureFromRgba } from '@urbild/core';
import { FAMILIES } from '@urbild/engine-tools';
import { plantedIn } from '../series';
import { SeriesRig } from '../seriesRig';
import type { Line } from './line';
import { sheetOfFamily } from './people';

const SERIES = 24;
/** Techniques of the looks, and whose people are in the series. */
const LOOKS = ['wet washes', 'dabs', 'engravings', 'height fields'];
const PEOPLE = [2, 5, 7, 9];
const RIVAL = 11;
/** Darker hair than this is dark, OKLab. */
const DARK = 0.5;

/** Series on looks and characters of foreign families, one shot of each spoiled: named, explained, brought back. */
export async function foreignSeries(print: (text: string) => void): Promise<Line[]> {
  const rig = new SeriesRig(480, 320);
  const add = (name: string, who: number, seed: number): string => {
    const { rgba, width, height } = FAMILIES.find((f) => f.name === name)!.make({ who, seed });
    return rig.add(`${name} ${who} ${seed}`, pictureFromRgba(rgba, width, height));
  };
  LOOKS.forEach((name, k) => rig.sources.set(`look${k}`, { name, pictures: [add(name, 1, 3)] }));
  const person = (id: string, who: number) =>
    rig.sources.set(id, { name: `Person ${who}`, pictures: [add('flat people', who, 1)], sheet: sheetOfFamily(who) });
  PEOPLE.forEach((who, k) => person(`who${k}`, who));
  person('rival', RIVAL);
  const contrary = PEOPLE.map((who) => {
    const dark = (sheetOfFamily(who).hair?.colour?.[0] ?? 0) < DARK;
    return dark ? 'white hair in a bun, in a green coat' : 'black hair in two plaits, in a red coat';
  });
  const found = await plantedIn({ rig, series: SERIES, looks: LOOKS.length, people: PEOPLE.length, contrary });
  for (const note of found.notes) print(`  ${note}`);
  return [
    { what: `spoiled shots that are named, of ${SERIES}`, figure: found.named, least: 22 },
    { what: `their causes that are right, of ${SERIES}`, figure: found.rightCause, least: 18 },
    { what: 'false alarms, part of the sound shots', figure: found.falseAlarms / found.sound, most: 0.03 },
    {
      what: 'first remedies that bring the shot back, part of those named',
      figure: found.remedied / Math.max(1, found.named),
      least: 0.9,
    },
    {
      what: 'named shots with a remedy that was tried and helps, part of those named',
      figure: found.offered / Math.max(1, found.named),
      least: 0.9,
    },
  ];
}
