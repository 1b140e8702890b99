import { GIVES, SETTINGS, type AnySetting } from '@urbild/core';
import { BuiltInEngine } from '@urbild/engine';
import { readFileSync } from 'fs';
import path from 'path';
import sharp from 'sharp';
import { drawn, legends, SHOWN } from './shown';

const WEB = path.resolve(__dirname, '../../../../apps/web');

describe('what the page shows of settings', () => {
  test('its legends are those of the strips: npm run show writes both', () => {
    expect(JSON.parse(readFileSync(path.join(WEB, 'src/shared/shown/legends.generated.json'), 'utf8'))).toEqual(
      legends(),
    );
  });
  test('each number of a mix and each give has a strip with a caption for each of its pictures', () => {
    const numbers = Object.entries<AnySetting>(SETTINGS).flatMap(([name, { form }]) =>
      form.kind === 'number' ? name : [],
    );
    const names = SHOWN.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining([...numbers, ...GIVES, 'weight', 'span', 'motif', 'reading']));
    expect(new Set(names).size).toBe(names.length);
    for (const { requests, captions } of SHOWN) expect(captions).toHaveLength(requests.length);
  });
  test.each(SHOWN.map((s) => [s.name, s] as const))(
    '%s: the strip holds as many pictures as are told',
    async (name, s) => {
      const { width, height } = await sharp(path.join(WEB, `public/shown/${name}.webp`)).metadata();
      const cells = s.requests.length + (s.reference ? 1 : 0);
      expect({ width, height }).toEqual({ width: 294 * cells - 6, height: 192 });
    },
  );
  test('strict words keep black hair that lax ones give away', async () => {
    const engine = new BuiltInEngine();
    const { requests } = SHOWN.find(({ name }) => name === 'strictness')!;
    const hair = async (k: number) => (await drawn(engine, requests[k])).figures[0]?.traits?.hair?.colour;
    const [lax, , strict] = [await hair(0), 0, await hair(2)];
    expect(lax![0]).toBeGreaterThan(strict![0] + 0.1);
  });
});
