import { writeFile, rm, mkdtemp } from 'fs/promises';
import os from 'os';
import path from 'path';
import { By, Key, Origin } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { drag, faultsOfAccess, tooWide } from './page';
import { RunningStudio } from './studio';

/** A painted-looking PNG that nobody here drew: warm strokes on green. */
async function strangePicture(folder: string): Promise<string> {
  const [w, h] = [420, 300];
  const data = Buffer.alloc(w * h * 3);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i += 3) {
      const stroke = Math.sin((x + 14 * Math.sin(y / 9)) / 4) * Math.cos(y / 31);
      const sun = Math.exp(-((x - 280) ** 2 + (y - 90) ** 2) / 2600);
      data[i] = Math.min(255, 60 + 70 * stroke + 190 * sun + ((x * 13 + y * 7) % 17));
      data[i + 1] = Math.min(255, 110 + 45 * stroke + 110 * sun);
      data[i + 2] = Math.max(0, 50 + 20 * stroke - 30 * sun);
    }
  const file = path.join(folder, 'warm_strokes.png');
  await sharp(data, { raw: { width: w, height: h, channels: 3 } })
    .png()
    .toFile(file);
  return file;
}

let studio: RunningStudio;
let browser: Browser;
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), 'urbild-e2e-'));
  studio = await RunningStudio.start();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
  await rm(folder, { recursive: true, force: true });
});

const go = (address: string) => browser.driver.get(studio.url + address);

/** Types a weight into the head of the only lane. */
async function setWeight(value: string): Promise<void> {
  const field = await browser.find('input[aria-label^="Weight of"]');
  await field.click();
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.ENTER);
}

/** Renders a proof, waits for it, and reads off the arrival of the only influence. */
async function renderAndRead(): Promise<number> {
  const before = (await browser.all('[aria-label="Takes"] [role=listitem]')).length;
  await browser.until('everything to be saved', async () =>
    (await (await browser.find('[aria-label="Readings and settings"]')).getText()).includes('saved'),
  );
  await (await browser.button('Render a proof')).click();
  await browser.until(
    'a new take in the strip',
    async () => (await browser.all('[aria-label="Takes"] [role=listitem]')).length > before,
    20,
  );
  await browser.until(
    'the take to be done',
    async () => /Matches the bench/.test(await (await browser.find('[data-testid="take-state"]')).getText()),
    90,
  );
  const reading = await browser.find('[data-testid="reading"]:not([data-name="Words kept"])');
  return Number(await reading.getAttribute('data-value'));
}

describe('from a strange picture to a series', () => {
  test('a PNG is brought in by the dialog, with its progress, and set to style', async () => {
    await go('/library');
    await browser.button('Add the first pictures');
    const file = await strangePicture(folder);
    await (await browser.find('input[type=file]')).sendKeys(file);
    await browser.until('the file to be in the library', async () =>
      (await (await browser.find('[aria-label="Pictures on their way in"]')).getText()).includes('1 added'),
    );
    await (await browser.find('[role=option]')).click();
    await (
      await browser.find('aside[aria-label="Selection"] fieldset')
    )
      .findElement(By.xpath('.//button[contains(., "Style")]'))
      .click();
    await browser.until(
      'the kind to be kept',
      async () => (await studio.get<{ total: number }>('/references/search?kind=style')).total === 1,
    );
    expect((await studio.get<{ total: number }>('/references/search?words=warm%20strokes')).total).toBe(1);
  });

  test('what is no picture is refused with a reason', async () => {
    const file = path.join(folder, 'words.png');
    await writeFile(file, 'only words');
    await (await browser.find('input[type=file]')).sendKeys(file);
    await browser.until('the reason', async () =>
      (await (await browser.find('[aria-label="Pictures on their way in"]')).getText()).includes(
        'not a picture that can be read',
      ),
    );
  });

  test('it is dragged into the course of a new mix', async () => {
    await go('/bench?drafts=off');
    await (await browser.button('Begin a mix')).click();
    await browser.find('section[aria-label="Course"]');
    // drafts off: this test waits for proofs only
    const address = new URL(await browser.driver.getCurrentUrl());
    await go(`${address.pathname}?drafts=off`);
    await drag(
      browser,
      await browser.find('aside[aria-label="Tray"] [role=listitem] button'),
      await browser.find('section[aria-label="Course"]'),
    );
    await browser.find('input[aria-label="Weight of warm strokes"]');
    await (await browser.find('button[aria-label^="The prompt"]')).click();
    await (
      await browser.find('input[aria-label="The prompt"]')
    ).sendKeys('Ilse poles the punt at dusk with Brom', Key.ENTER);
  });

  test('at weight 1 more of it arrives than at weight 0.25', async () => {
    await setWeight('1');
    const heavy = await renderAndRead();
    await setWeight('0.25');
    const light = await renderAndRead();
    expect(heavy).toBeGreaterThan(light + 0.1);
    expect((await browser.all('img[data-testid="take-picture"]')).length).toBe(1);
    expect((await browser.all('img[alt^="Control"]')).length).toBe(1);
  });

  test('a number opens what it was measured from, as pictures, and Escape closes it', async () => {
    const words = await browser.find('[aria-label="Words kept: what was compared"]');
    await words.sendKeys(Key.ENTER);
    for (const who of ['Ilse', 'Brom']) await browser.find(`[role=img][aria-label="${who}, in this picture"]`);
    expect(await faultsOfAccess(browser)).toEqual([]);
    await browser.driver.switchTo().activeElement().sendKeys(Key.ESCAPE);
    await (await browser.find('[aria-label="warm strokes: what was compared"]')).click();
    await browser.find('img[alt="without references"]');
    await browser.driver.switchTo().activeElement().sendKeys(Key.ESCAPE);
    await browser.until('no pictures', async () => (await browser.all('img[alt="without references"]')).length === 0);
  });

  test('span and weight are moved by arrow keys and undone', async () => {
    const start = await browser.find('[role=slider][aria-label$="start of its span"]');
    await start.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    expect(await start.getAttribute('aria-valuetext')).toBe('10 %');
    const weight = await browser.find('[role=slider][aria-label$=": weight"]');
    await weight.sendKeys(Key.ARROW_UP);
    expect(await weight.getAttribute('aria-valuetext')).toBe('0.30');
    await weight.sendKeys(Key.chord(Key.SHIFT, Key.ARROW_DOWN));
    expect(await weight.getAttribute('aria-valuetext')).toBe('0.29');
    for (let i = 0; i < 4; i++) await weight.sendKeys(Key.chord(Key.CONTROL, 'z'));
    expect(await weight.getAttribute('aria-valuetext')).toBe('0.25');
    expect(await start.getAttribute('aria-valuetext')).toBe('0 %');
  });

  test('the weight is dragged with the pointer, and a draft follows', async () => {
    const address = new URL(await browser.driver.getCurrentUrl());
    await go(address.pathname);
    const weight = await browser.find('[role=slider][aria-label$=": weight"]');
    await browser.driver
      .actions({ async: true })
      .move({ origin: weight })
      .press()
      .move({ origin: Origin.POINTER, x: 0, y: -10, duration: 200 })
      .release()
      .perform();
    const value = Number(await weight.getAttribute('aria-valuenow'));
    expect(value).toBeGreaterThan(0.6);
    await browser.until(
      'a draft of the new weight',
      async () => {
        const text = await (await browser.find('[data-testid="take-state"]')).getText();
        return (
          text.includes('Matches the bench') &&
          (await (await browser.find('section[aria-label="Course"]')).isDisplayed())
        );
      },
      40,
    );
  });

  test('a series over the mix is rendered, and everything is there after a reload', async () => {
    await go('/series');
    await (await browser.buttonFrom('Begin a series over')).click();
    await (await browser.button('Duplicate the shot')).click();
    await browser.until('two shots', async () => (await browser.all('ul[aria-label="Shots"] > li')).length === 2);
    await (await browser.button('Render what changed (2)')).click();
    await browser.until(
      'both shots to be up to date',
      async () => (await browser.button('All is up to date')).isDisplayed(),
      120,
    );
    await browser.driver.navigate().refresh();
    await browser.until(
      'both pictures',
      async () => (await browser.all('img[data-testid="shot-picture"]')).length === 2,
    );
    await go('/bench');
    expect(await (await browser.find('button[aria-label^="The prompt"]')).getText()).toContain('Ilse poles the punt');
    await browser.until(
      'the takes',
      async () => (await browser.all('[aria-label="Takes"] [role=listitem]')).length >= 2,
    );
  });
});

describe.each([
  ['/library', '[role=option]'],
  ['/bench', 'img[data-testid="take-picture"]'],
  ['/series', 'img[data-testid="shot-picture"]'],
])('%s', (address, ready) => {
  test('has no faults of accessibility that axe finds', async () => {
    await go(address);
    await browser.find(ready);
    expect(await faultsOfAccess(browser)).toEqual([]);
  });

  test.each([1024, 1280, 2560])('does not scroll sideways at %i px', async (width) => {
    await browser.resize(width, 800);
    await go(address);
    await browser.find(ready);
    expect(await tooWide(browser)).toBe(0);
    await browser.resize(1280, 800);
  });
});
