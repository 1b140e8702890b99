import path from 'path';
import { By, Key } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { faultsOfAccess, tooWide } from './page';
import { shotsFolder } from './shots';
import { RunningStudio } from './studio';

let shots: string;

let studio: RunningStudio;
let browser: Browser;
beforeAll(async () => {
  shots = await shotsFolder();
  studio = await RunningStudio.start({ demo: true });
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
});

test('the demo studio draws itself, with progress on the screen', async () => {
  await browser.driver.get(`${studio.url}/library`);
  await browser.until('the progress of the demo', async () =>
    (await (await browser.find('header')).getText()).includes('Drawing the demo studio'),
  );
  const seconds = await studio.idle(900);
  console.log(`the demo studio was drawn in ${seconds.toFixed(0)} s`);
  const { total, facets } = await studio.get<{ total: number; facets: { kind: Record<string, number> } }>(
    '/references/search',
  );
  expect(total).toBe(72);
  expect(facets.kind).toMatchObject({ style: 30, image: 27 });
  expect(facets.kind.character + facets.kind.face).toBe(15);
  expect((await studio.get<unknown[]>('/looks')).length).toBe(3);
  expect((await studio.get<unknown[]>('/cast')).length).toBe(5);
  const mix = await studio.get<{ influences: unknown[] }>('/mixes/demo-mix');
  expect(mix.influences).toHaveLength(3);
  const { shots } = await studio.get<{ shots: { stale: string[]; leadId?: string }[] }>('/series/demo-series');
  expect(shots.map((s) => [s.stale, !!s.leadId])).toEqual(Array.from({ length: 12 }, () => [[], true]));
});

test('the year holds together: who is seen and how it is drawn', async () => {
  const { closer, falls } = await studio.get<{
    closer: { look: number; identity: { times: number }[] };
    falls: { sentence: string }[];
  }>('/series/demo-series/consistency');
  expect(closer.look).toBeGreaterThan(2.5);
  expect(closer.identity[0].times).toBeGreaterThan(2.5);
  expect(falls).toEqual([]);
  const sheet = Buffer.from(await (await fetch(`${studio.url}/api/v1/series/demo-series/export/png`)).arrayBuffer());
  await sharp(sheet).resize(1600).jpeg({ quality: 82 }).toFile(path.join(shots, 'twelve-months.jpg'));
});

/** Waits until every picture in sight is there, then keeps a screenshot. */
async function keep(
  name: string,
  address: string,
  ready: string,
  before: () => Promise<void> = async () => {},
): Promise<void> {
  await browser.driver.get(studio.url + address);
  await browser.find(ready);
  await browser.until('the view to be set', async () => {
    await before();
    return true;
  });
  await browser.until('all pictures', () =>
    browser.driver.executeScript<boolean>(
      // pictures below the fold are loaded when they come into sight
      'return [...document.images].every((i) => (i.complete && i.naturalWidth > 0) || i.getBoundingClientRect().top > innerHeight)',
    ),
  );
  await new Promise((resolve) => setTimeout(resolve, 600));
  await browser.screenshot(path.join(shots, `${name}.png`));
}

test('the main views are kept as pictures', async () => {
  await keep('library', '/library', '[role=option]', async () =>
    (await browser.find('[role=option][aria-label^="Lantern in the wood"]')).click(),
  );
  await keep('first', '/first', '[aria-label="Choose a face"] img', async () => {
    for (const what of ['a look', 'a face']) {
      const [, second] = await browser.all(`[aria-label="Choose ${what}"] button`);
      if ((await second.getAttribute('aria-pressed')) !== 'true') await second.click();
    }
    await browser.find('[aria-label="The picture"] img');
  });
  await keep('looks', '/looks/demo-look-chalk', 'img[alt^="A sample drawn with"]');
  await browser.until(
    'traits of all her pictures',
    async () => {
      const { waiting } = await studio.get<{ waiting: number }>('/cast/demo-ilse/reading');
      return waiting === 0;
    },
    120,
  );
  await keep('cast', '/cast/demo-ilse', 'aside[aria-label="Traits and readings"] h2');
  await keep('bench', '/bench/demo-mix', 'img[data-testid="take-picture"]');
  await keep('series', '/series', 'img[data-testid="shot-picture"]');
});

const post = async <T>(address: string, body: unknown): Promise<T> =>
  (await (
    await fetch(`${studio.url}/api/v1${address}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  ).json()) as T;

test('a test strip, a take and a comparison of the demo are kept as pictures', async () => {
  const mix = await studio.get<{ id: string; influences: { id: string }[] }>('/mixes/demo-mix');
  const strip = await post<{ id: string }>('/strips', {
    mixId: mix.id,
    name: 'Chalk dusk: weight',
    axes: [{ setting: 'weight', influence: mix.influences[0].id, values: [0, 0.3, 0.6, 0.9, 1.2] }],
  });
  const other = await post<{ id: string }>('/takes', { mixId: mix.id, quality: 'proof', seed: 4121 });
  await studio.idle();
  await keep('strip', `/bench/${mix.id}/strips/${strip.id}`, '[data-testid="cell"][data-status="done"]');
  const takes = await studio.get<{ id: string; status: string; quality: string }[]>(`/takes?mixId=${mix.id}`);
  const first = takes.find((t) => t.quality === 'proof' && t.id !== other.id)!;
  await keep('take', `/takes/${first.id}`, 'section[aria-label="The picture"] img');
  await keep('compare', `/compare?takes=${first.id},${other.id}`, 'section[aria-label="Compared takes"] img');
});

test('a shot of the year in motion is kept as a picture', async () => {
  const { shots } = await studio.get<{ shots: { id: string }[] }>('/series/demo-series');
  const { id } = await post<{ id: string }>('/series/demo-series/sequences', {
    name: 'January',
    shotId: shots[0].id,
    frames: 8,
    quality: 'proof',
    move: { camera: { from: { x: 0.5, y: 0.5, size: 1 }, to: { x: 0.45, y: 0.58, size: 0.66 } } },
  });
  await studio.idle();
  await post(`/sequences/${id}/hold`, { frame: 7 });
  await studio.idle();
  await keep('sequence', `/sequences/${id}`, 'section[aria-label="Change from frame to frame"]');
});

/** The focus, in the words of a person who hears it, and whether it is inside of what a view is there for. */
const focus = () =>
  browser.driver.executeScript<{ name: string; inMain: boolean }>(
    `const e = document.activeElement;
     return { name: e.getAttribute('aria-label') ?? e.textContent, inMain: !!e.closest('[data-main]') || e.getAttribute('aria-label') === 'The prompt' };`,
  );
const press = (...keys: string[]) =>
  browser.driver
    .actions()
    .sendKeys(...keys)
    .perform();

test('every view is walked by keys alone: what it is there for is one tab stop away, and the walk through all is short', async () => {
  const mix = await studio.get<{ id: string }>('/mixes/demo-mix');
  const takes = await studio.get<{ id: string; quality: string }[]>(`/takes?mixId=${mix.id}`);
  const [strip] = await studio.get<{ id: string }[]>(`/strips?mixId=${mix.id}`);
  const [sequence] = await studio.get<{ id: string }[]>('/series/demo-series/sequences');
  const proofs = takes.filter((t) => t.quality === 'proof');
  const views: readonly (readonly [address: string, ready: string, most: number])[] = [
    ['/library', '[role=option]', 40],
    ['/looks', 'section[aria-label="Pictures of the look"] img', 45],
    ['/cast/demo-ilse', 'aside[aria-label="Traits and readings"] h2', 70],
    [`/bench/${mix.id}`, 'img[data-testid="take-picture"]', 60],
    ['/series', 'img[data-testid="shot-picture"]', 45],
    [`/takes/${proofs[0].id}`, 'section[aria-label="The picture"] img', 40],
    [`/compare?takes=${proofs[0].id},${proofs[1].id}`, 'section[aria-label="Compared takes"] img', 30],
    [`/bench/${mix.id}/strips/${strip.id}`, '[data-testid="cell"]', 60],
    [`/sequences/${sequence.id}`, 'section[aria-label="Change from frame to frame"]', 45],
  ];
  const walked: Record<string, number> = {};
  for (const [address, ready, most] of views) {
    await browser.driver.get(studio.url + address);
    await browser.find(ready);
    await browser.driver.executeScript('document.activeElement.blur(); getSelection().removeAllRanges()');
    await press(Key.TAB, Key.ENTER);
    expect({ address, ...(await focus()) }).toMatchObject({ address, inMain: true });
    // once around, from what is first in the page to its end
    await browser.driver.navigate().refresh();
    await browser.find(ready);
    let stops = 0;
    for (let at = ''; at !== 'BODY' && stops <= most; stops++) {
      await press(Key.TAB);
      at = await browser.driver.executeScript<string>('return document.activeElement.tagName');
    }
    walked[address.split('?')[0].replace(/[0-9a-f-]{20,}/, 'one')] = stops;
    expect({ address, stops: stops <= most ? 'few' : `more than ${most}` }).toEqual({ address, stops: 'few' });
  }
  console.log(`tab stops of the views: ${JSON.stringify(walked)}`);
});

test('a dark booth and printing light keep every view readable', async () => {
  for (const light of ['Dark booth', 'Printing light', 'Day booth']) {
    await browser.driver.get(`${studio.url}/bench/demo-mix`);
    await browser.find('img[data-testid="take-picture"]');
    await (await browser.button('Light of the room')).sendKeys(Key.ENTER);
    await (
      await browser.driver.findElement(By.xpath(`//*[@role="menuitemradio"][contains(., ${JSON.stringify(light)})]`))
    ).click();
    for (const [address, ready] of [
      ['/bench/demo-mix', 'img[data-testid="take-picture"]'],
      ['/library', '[role=option]'],
      ['/series', 'img[data-testid="shot-picture"]'],
      ['/cast/demo-ilse', 'aside[aria-label="Traits and readings"] h2'],
    ]) {
      await browser.driver.get(studio.url + address);
      await browser.find(ready);
      expect({ light, address, faults: await faultsOfAccess(browser) }).toEqual({ light, address, faults: [] });
    }
    if (light === 'Dark booth') await keep('dark-booth', '/bench/demo-mix', 'img[data-testid="take-picture"]');
  }
});

test('at 200 % zoom on a laptop nothing is lost: parts stand below each other, nothing scrolls sideways', async () => {
  await browser.resize(640, 400);
  try {
    for (const [address, ready] of [
      ['/bench/demo-mix', 'img[data-testid="take-picture"]'],
      ['/library', '[role=option]'],
      ['/series', 'img[data-testid="shot-picture"]'],
      ['/cast/demo-ilse', 'aside[aria-label="Traits and readings"] h2'],
      ['/looks', 'section[aria-label="Pictures of the look"] img'],
      ['/studio', 'section[aria-label="Backups"]'],
    ]) {
      await browser.driver.get(studio.url + address);
      await browser.find(ready);
      expect({ address, wider: await tooWide(browser) }).toEqual({ address, wider: 0 });
    }
    await browser.driver.get(`${studio.url}/bench/demo-mix`);
    const tops = await Promise.all(
      ['[data-testid="take-picture"]', '[data-main="The prompt"]', 'aside[aria-label="Tray"]'].map(
        async (css) => (await (await browser.find(css)).getRect()).height,
      ),
    );
    expect(Math.min(...tops)).toBeGreaterThan(20);
  } finally {
    await browser.resize(1280, 800);
  }
});
