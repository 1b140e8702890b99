import { PEOPLE_FAMILIES } from '@urbild/engine-tools';
import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { By, Key, Origin } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { RunningStudio } from './studio';

/** Somebody with long dark hair and neither hat nor glasses nor beard, in three pictures that our painter did not make. */
const FAMILY = PEOPLE_FAMILIES.find((f) => f.name === 'painted busts')!;
const WHO = Array.from({ length: 400 }, (_, k) => 1000 + k).find((who) => {
  const { worn, headwear, glasses, beard } = FAMILY.wears!(who);
  return (
    worn === 'long' && headwear === 'none' && !glasses && !beard && FAMILY.make({ who, seed: 1 }).truth.hair![0] < 60
  );
})!;

let studio: RunningStudio;
let browser: Browser;
let folder: string;
let files: string[];
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-e2e-'));
  files = await Promise.all(
    [1, 2, 3].map(async (seed) => {
      const { rgba, width, height } = FAMILY.make({ who: WHO, seed });
      const file = path.join(folder, `portrait_${seed}.png`);
      await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
        .png()
        .toFile(file);
      return file;
    }),
  );
  studio = await RunningStudio.start();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
  await rm(folder, { recursive: true, force: true });
});

const go = (address: string) => browser.driver.get(studio.url + address);

interface CastMember {
  readonly id: string;
  readonly items: readonly object[];
}
interface Reading {
  readonly traits: readonly { readonly name: string; readonly choice?: string; readonly hex?: string }[];
  readonly waiting: number;
}

test('three portraits become a character, whose slots and traits are read off them', async () => {
  await go('/library');
  await browser.button('Add the first pictures');
  await (await browser.find('input[type=file]')).sendKeys(files.join('\n'));
  const pictures = () => browser.all('[role=option]');
  await browser.until('three pictures', async () => (await pictures()).length === 3, 60);
  await (await browser.find('[role=option]')).click();
  await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL).perform();
  await browser.driver
    .actions()
    .move({ origin: (await pictures())[0] ?? Origin.POINTER })
    .contextClick()
    .perform();
  await (await browser.driver.wait(async () => {
    const items = await browser.driver.findElements(
      By.xpath('//*[@role="menuitem"][contains(., "Make a character of these 3")]'),
    );
    return items[0];
  }, 10000))!.click();
  await browser.find('[aria-label="Traits and readings"]');
  const [made] = await studio.get<CastMember[]>('/cast');
  expect(made.items).toHaveLength(3);
  let reading: Reading = { traits: [], waiting: 3 };
  await browser.until(
    'the pictures to be read',
    async () => {
      reading = await studio.get<Reading>(`/cast/${made.id}/reading`);
      return reading.waiting === 0 && reading.traits.length > 0;
    },
    90,
  );
  const trait = (name: string) => reading.traits.find((t) => t.name === name);
  expect(trait('hair length')?.choice).toBe('long');
  expect(trait('headwear')?.choice).toBe('none');
  const name = await browser.find('input[aria-label="Name"]');
  await name.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Runa', Key.ENTER);
  await browser.until('the name to be kept', async () =>
    (await studio.get<{ name: string }[]>('/cast')).some((c) => c.name === 'Runa'),
  );
});

test('her name in the words is a lane of its own, and she is in the picture', async () => {
  await go('/bench');
  await (await browser.button('Begin a mix')).click();
  await (await browser.find('[aria-label^="The prompt:"]')).click();
  await (
    await browser.find('input[aria-label="The prompt"]')
  ).sendKeys('half figure of Runa in the harbour at noon', Key.ENTER);
  await browser.until('her lane', async () => (await browser.all('[aria-label="Weight of Runa"]')).length === 1);
  await browser.until('everything to be saved', async () =>
    (await (await browser.find('[aria-label="Readings and settings"]')).getText()).includes('saved'),
  );
  await (await browser.button('Render a proof')).click();
  await browser.until(
    'the take to be done',
    async () => /Matches the bench/.test(await (await browser.find('[data-testid="take-state"]')).getText()),
    120,
  );
  const reading = await browser.find('[data-testid="reading"][data-name="Runa"]');
  expect(Number(await reading.getAttribute('data-value'))).toBeGreaterThan(0.2);
});

test('an outfit of hers is called by its name, and she wears it', async () => {
  await go('/cast');
  await (await browser.button('New outfit')).click();
  const type = async (label: string, text: string) =>
    (await browser.find(`[aria-label="${label}"]`)).sendKeys(Key.chord(Key.CONTROL, 'a'), text);
  await type('What outfit 1 is, in words', 'a yellow raincoat and a red scarf');
  await type('Name of the outfit', 'storm coat');
  const outfits = async () => (await studio.get<{ outfits: { name: string; wears: string }[] }[]>('/cast'))[0].outfits;
  await browser.until('the outfit to be kept', async () => {
    const [own] = await outfits();
    return own.name === 'storm coat' && own.wears === 'a yellow raincoat and a red scarf';
  });
  await go('/bench');
  await (await browser.find('[aria-label^="The prompt:"]')).click();
  await (
    await browser.find('input[aria-label="The prompt"]')
  ).sendKeys(Key.chord(Key.CONTROL, 'a'), 'half figure of Runa in her storm coat in the harbour at noon', Key.ENTER);
  await browser.until('everything to be saved', async () =>
    (await (await browser.find('[aria-label="Readings and settings"]')).getText()).includes('saved'),
  );
  await (await browser.button('Render a proof')).click();
  interface Drawn {
    readonly status: string;
    readonly prompt: string;
    readonly understood: readonly { readonly means: string }[];
    readonly notDrawn: readonly object[];
  }
  let take: Drawn | undefined;
  await browser.until(
    'the take in the outfit',
    async () => {
      const [{ id }] = await studio.get<{ id: string }[]>('/mixes');
      const takes = await studio.get<Drawn[]>(`/takes?mixId=${id}`);
      take = takes.find((t) => t.status === 'done' && t.prompt.includes('storm coat'));
      return take !== undefined;
    },
    120,
  );
  expect(take!.understood.map((u) => u.means)).toContain('outfit: storm coat');
  expect(take!.notDrawn).toEqual([]);
});
