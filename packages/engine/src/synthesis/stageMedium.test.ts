import { pictureFromRgba } from '@urbild/core';
import { gradient, photographedHills } from '@urbild/engine-tools';
import { brushedInk, cutSun, leadedPanes, twoInkPoster } from '@urbild/engine-tools';
import type { ForeignPicture } from '@urbild/engine-tools';
import { prepareReference } from './reference';
import { stageMediumFor } from './stageMedium';

const share = (p: ForeignPicture, by = 1) => ({
  reference: prepareReference(p.name, pictureFromRgba(p.rgba, p.width, p.height), 256),
  share: by,
});

test('a look in two strong inks is cut or printed in its own inks', () => {
  const cut = stageMediumFor([share(cutSun())])!;
  expect([cut.medium, cut.inked]).toEqual(['linocut', true]);
  // cream, orange and midnight blue
  expect(cut.palette.paper[0]).toBeGreaterThan(0.8);
  expect(cut.palette.key[0]).toBeLessThan(0.35);
  expect(cut.palette.middle[1]).toBeGreaterThan(0.1);
  expect(stageMediumFor([share(twoInkPoster())])).toMatchObject({ medium: 'screen print', inked: true });
});

test('glass is drawn as glass; only a look of few colours becomes a drawing in one ink', () => {
  expect(stageMediumFor([share(leadedPanes())])).toMatchObject({ medium: 'stained glass', inked: false });
  expect(stageMediumFor([share(brushedInk())])?.medium).toBe('charcoal');
  const mixed = stageMediumFor([share(brushedInk()), share(leadedPanes(), 0.9)]);
  expect(mixed?.medium).not.toBe('charcoal');
});

test('without a share there is no medium', () => {
  expect(stageMediumFor([share(cutSun(), 0)])).toBeUndefined();
  expect(stageMediumFor([])).toBeUndefined();
});

test('photographs and gradients are of no medium', () => {
  for (const picture of [photographedHills(), gradient()]) expect(stageMediumFor([share(picture)])).toBeUndefined();
});
