import { colourDistance, lchToRgb, SEASONS, TIMES, WEATHERS, type Lch } from '@urbild/core';
import fc from 'fast-check';
import { Scene } from '../scene/scene';
import { REGION } from '../scene/region';
import { environmentFor, inLeaf, isSnowy } from './environment';

const GREEN: Lch = [0.52, 0.11, 140];
const RED: Lch = [0.55, 0.18, 27];
const sceneIn = (
  time: (typeof TIMES)[number],
  weather: (typeof WEATHERS)[number],
  season: (typeof SEASONS)[number] = 'summer',
) => new Scene(64, 48, environmentFor(time, weather, season), 1);

const anyColour = fc.tuple(
  fc.double({ min: 0.05, max: 0.97, noNaN: true }),
  fc.double({ min: 0, max: 0.2, noNaN: true }),
  fc.double({ min: 0, max: 360, noNaN: true }),
) as fc.Arbitrary<Lch>;

test('the time, the weather and the season that were asked for are the ones that are there', () => {
  for (const time of TIMES)
    for (const weather of WEATHERS)
      for (const season of SEASONS)
        expect(environmentFor(time, weather, season)).toMatchObject({ time, weather, season });
});

test('every colour stays a colour, at every time, in every weather, at every depth', () => {
  fc.assert(
    fc.property(
      anyColour,
      fc.constantFrom(...TIMES),
      fc.constantFrom(...WEATHERS),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (colour, time, weather, depth) => {
        const graded = sceneIn(time, weather).grade(colour, depth);
        expect(graded[0]).toBeGreaterThan(0);
        expect(graded[0]).toBeLessThan(1);
        for (const v of lchToRgb(graded)) expect(v >= 0 && v <= 255).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});

test('what lies farther goes into the haze, in fog sooner', () => {
  for (const weather of ['clear', 'fog'] as const) {
    const scene = sceneIn('noon', weather);
    const far = [0, 0.3, 0.6, 1].map((depth) => colourDistance(scene.grade(RED, depth), scene.light.haze));
    for (let i = 1; i < far.length; i++) expect(far[i]).toBeLessThan(far[i - 1]);
  }
  const left = (weather: 'clear' | 'fog') =>
    colourDistance(sceneIn('noon', weather).grade(RED, 0.4), sceneIn('noon', weather).light.haze);
  expect(left('fog')).toBeLessThan(left('clear'));
});

test('nights are darker than days, dusk lies between; figures keep more of themselves there', () => {
  const light = TIMES.map((t) => [t, sceneIn(t, 'clear').grade(GREEN, 0.1)[0]] as const);
  const of = (t: string) => light.find(([name]) => name === t)![1];
  expect(of('noon')).toBeGreaterThan(of('dusk'));
  expect(of('dusk')).toBeGreaterThan(of('night'));
  expect(of('moonlight')).toBeGreaterThan(of('night'));
  expect(environmentFor('night', 'clear', 'summer').figureKeep).toBeGreaterThan(
    environmentFor('noon', 'clear', 'summer').figureKeep,
  );
});

test('lamps are lit at night, in a storm, and by lamplight', () => {
  expect(environmentFor('night', 'clear', 'summer').lamps).toBe(true);
  expect(environmentFor('noon', 'storm', 'summer').lamps).toBe(true);
  expect(environmentFor('noon', 'clear', 'summer').lamps).toBe(false);
  expect(environmentFor('noon', 'clear', 'summer', 'lamplight').lamps).toBe(true);
});

test('light from behind comes from below the horizon line upwards and sharpens the rim', () => {
  const [usual, behind] = [
    environmentFor('dusk', 'clear', 'summer'),
    environmentFor('dusk', 'clear', 'summer', 'backlit'),
  ];
  expect(behind.direction[1]).toBeLessThan(0);
  expect(behind.rim).toBeGreaterThan(usual.rim);
});

test('seasons change leaves and grass, and nothing else', () => {
  for (const season of SEASONS) {
    expect(inLeaf(RED, season)).toEqual(RED);
    expect(inLeaf([0.6, 0.01, 140], season)).toEqual([0.6, 0.01, 140]);
  }
  expect(inLeaf(GREEN, 'summer')).toEqual(GREEN);
  expect(inLeaf(GREEN, 'autumn')[2]).toBeLessThan(110);
  expect(inLeaf(GREEN, 'winter')[1]).toBeLessThan(0.6 * GREEN[1]);
  expect(inLeaf(GREEN, 'spring')[0]).toBeGreaterThan(GREEN[0]);
});

test('snow lies on the ground, less on leaves, not on people', () => {
  const scene = sceneIn('noon', 'snow', 'winter');
  expect(isSnowy(scene.light)).toBe(true);
  const lightness = (region: (typeof REGION)[keyof typeof REGION]) =>
    scene.pen({ region, depth: 0 }).colour([0.4, 0.08, 60])[0];
  expect(lightness(REGION.ground)).toBeGreaterThan(lightness(REGION.foliage));
  expect(lightness(REGION.foliage)).toBeGreaterThan(lightness(REGION.garment));
  expect(lightness(REGION.garment)).toBeCloseTo(scene.grade([0.4, 0.08, 60], 0)[0], 6);
});
