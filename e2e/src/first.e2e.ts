import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { By, Key } from 'selenium-webdriver';
import { Browser } from './browser';
import { faultsOfAccess, strangePng, tooWide } from './page';
import { RunningStudio } from './studio';

let studio: RunningStudio;
let browser: Browser;
let files: string;
beforeAll(async () => {
  studio = await RunningStudio.start();
  browser = await Browser.open();
  files = await mkdtemp(path.join(os.tmpdir(), 'urbild-first-'));
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
  await rm(files, { recursive: true, force: true });
});

const see = (text: string) => browser.find(`[aria-label=${JSON.stringify(text)}]`);
const pictures = () => browser.all('[data-testid="take-picture"].arrive');

test('in an empty studio a first picture of one’s own comes under two minutes, by what the screen says', async () => {
  const began = Date.now();
  await browser.driver.get(studio.url);
  await browser.until('the first steps', async () => (await browser.driver.getCurrentUrl()).endsWith('/first'));
  expect(await faultsOfAccess(browser)).toEqual([]);
  const own = path.join(files, 'my look.png');
  await writeFile(own, await strangePng(3));
  await (await see('A look of your own')).sendKeys(own);
  await browser.find('[aria-label="Choose a look"] [aria-pressed=true]');
  await (await see('What the picture shows')).sendKeys('a heron on the pier at dusk', Key.ENTER);
  await browser.until('the first picture', async () => (await pictures()).length === 1, 100);
  const before = await (await browser.find('[data-testid="take-picture"]')).getAttribute('src');
  const weight = await browser.find('[role=slider][aria-label="Weight of my look"]');
  await weight.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
  await browser.until(
    'the picture to follow the weight',
    async () =>
      (await pictures()).length === 1 &&
      (await (await browser.find('[data-testid="take-picture"].arrive')).getAttribute('src')) !== before,
    60,
  );
  expect((Date.now() - began) / 1000).toBeLessThan(120);
  console.log(`first own take, weighed: ${((Date.now() - began) / 1000).toFixed(1)} s`);
  expect(await faultsOfAccess(browser)).toEqual([]);
  for (const width of [1024, 1280, 2560]) {
    await browser.resize(width, 800);
    expect(await tooWide(browser)).toBe(0);
  }
  await browser.resize(1280, 800);
});

test('the bench shows its parts, and the first steps do not come again by themselves', async () => {
  await (await browser.button('Go on at the bench')).click();
  for (let k = 0; k < 6; k++) {
    await (await browser.button('Next')).click();
    expect(await browser.driver.findElements(By.xpath(`//*[contains(., "${k + 2} of 7")]`))).not.toEqual([]);
  }
  await (await browser.button('Done')).click();
  await browser.until('the tour to end', async () => !(await browser.driver.getCurrentUrl()).includes('tour'));
  await browser.driver.get(studio.url);
  await browser.until('the library', async () => (await browser.driver.getCurrentUrl()).includes('/library'));
  await (await browser.find('body')).sendKeys('?');
  await (await browser.driver.findElement(By.linkText('Your first picture, step by step'))).click();
  await browser.find('[aria-label="First steps"]');
});
