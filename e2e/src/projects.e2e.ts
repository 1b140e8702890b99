import { readFileSync } from 'fs';
import { Key, type WebElement } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { RunningStudio } from './studio';

const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

let studio: RunningStudio;
let browser: Browser;
let ids: string[];
beforeAll(async () => {
  studio = await RunningStudio.start();
  ids = [];
  for (const [k, name] of ['Red', 'Green', 'Blue'].entries()) ids.push(await bringIn(name, k));
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
});

/** A picture of stripes, brought in under a name. */
async function bringIn(name: string, k: number): Promise<string> {
  const [w, h] = [240, 160];
  const data = Buffer.alloc(w * h * 3, 40);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) if (Math.sin(x / (4 + 3 * k) + y / 30) > 0) data[(y * w + x) * 3 + k] = 200;
  const form = new FormData();
  const png = await sharp(data, { raw: { width: w, height: h, channels: 3 } })
    .png()
    .toBuffer();
  form.append('title', name);
  form.append('file', new Blob([new Uint8Array(png)]), `${name}.png`);
  const answer = await fetch(`${studio.url}/api/v1/references`, { method: 'POST', body: form });
  return ((await answer.json()) as { reference: { id: string } }).reference.id;
}

const go = (address: string) => browser.driver.get(studio.url + address);
const address = () => browser.driver.getCurrentUrl();
const cell = (k: number): Promise<WebElement> => browser.find(`[data-id="${ids[k]}"]`);
/** The pictures in the order in which they are shown. */
const shown = async (): Promise<string> =>
  (
    await browser.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("[data-id]")].map((e) => [e.getBoundingClientRect(), e.dataset.id]).sort(([a], [b]) => a.top - b.top || a.left - b.left).map(([, id]) => id)',
    )
  )
    .map((id) => 'RGB'[ids.indexOf(id)])
    .join('');
const press = (...keys: string[]) =>
  browser.driver
    .actions()
    .sendKeys(...keys)
    .perform();
const undo = () => browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
const faults = async () => {
  await browser.driver.executeScript(axe);
  const found = await browser.driver.executeAsyncScript<{ violations: { id: string }[] }>(
    'window.axe.run({ runOnly: ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"] }).then(arguments[0])',
  );
  return found.violations.map((v) => v.id);
};

test('a collection is made of what is chosen, arranged by keys and by hand, and each step is undone', async () => {
  await go(`/library?sel=${ids[0]}&sel=${ids[1]}&sel=${ids[2]}`);
  await (await browser.find('button[aria-label="New collection of the chosen 3"]')).click();
  await (await browser.find('input[aria-label="Name of the collection"]')).sendKeys('Stripes', Key.ENTER);
  await browser.until('the collection', async () => (await address()).includes('collection='));
  await browser.until('its order', async () => (await shown()) === 'RGB');
  await (await cell(2)).click();
  const chosen = () => browser.all('[role=option][aria-selected=true]');
  await browser.until('it alone is chosen', async () => (await chosen()).length === 1);
  await browser.driver.actions().keyDown(Key.ALT).sendKeys(Key.HOME).keyUp(Key.ALT).perform();
  await browser.until('the last one first', async () => (await shown()) === 'BRG');
  const [from, to] = [await cell(1), await cell(2)];
  await browser.driver
    .actions({ async: true })
    .move({ origin: from })
    .press()
    .move({ origin: from, x: 12, y: 8 })
    .move({ origin: to, x: -40 })
    .move({ origin: to, x: -60 })
    .release()
    .perform();
  await browser.until('what was dragged first', async () => (await shown()) === 'GBR');
  const collection = new URL(await address()).searchParams.get('collection');
  const kept = async () => (await studio.get<{ ids: string[] }>(`/references/search?collection=${collection}`)).ids;
  await browser.until('the same on the server', async () => (await kept())[0] === ids[1]);
  await undo();
  await browser.until('before the drag', async () => (await shown()) === 'BRG');
  await undo();
  await browser.until('as it was made', async () => (await shown()) === 'RGB');
  expect(await faults()).toEqual([]);
});

test('a new project has a bench of its own; each is found again where one left it', async () => {
  const made = (await (
    await fetch(`${studio.url}/api/v1/mixes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Old book', prompt: 'a mill' }),
    })
  ).json()) as { id: string };
  await go(`/bench/${made.id}`);
  const choose = async (item: string) => {
    await (await browser.find('button[aria-label^="Project: "]')).click();
    const found = await browser.find('[role=menu]');
    for (const one of await found.findElements({ css: '[role^=menuitem]' }))
      if ((await one.getText()) === item) return one.click();
    throw new Error(`no ${item} in the menu`);
  };
  await choose('New project');
  await browser.find('[role=dialog] input');
  expect(await faults()).toEqual([]);
  await press('Card set', Key.ENTER);
  await browser.until('an empty bench', async () => (await address()).endsWith('/bench'));
  await (await browser.button('Begin a mix')).click();
  await browser.until('its own mix', async () => /\/bench\/[\w-]+$/.test(await address()));
  const own = await address();
  expect(own).not.toContain(made.id);
  await choose('My first project');
  await browser.until('the old book', async () => (await address()).endsWith(made.id));
  await choose('Card set');
  await browser.until('the cards', async () => (await address()) === own);
  await browser.driver.navigate().refresh();
  await browser.find('button[aria-label="Project: Card set"]');
});
