import { By, Key, Origin, type WebElement } from 'selenium-webdriver';
import { Browser } from './browser';
import { bringIn, drag, faultsOfAccess, pixelsOf, tooWide } from './page';
import { penStroke } from './pen';
import { RunningStudio } from './studio';

interface Influence {
  id: string;
  referenceId: string;
  weight: number;
  from: number;
  to: number;
  on: boolean;
  region?: { content: string };
}
interface Mix {
  id: string;
  prompt: string;
  settings: { emphases?: { words: string; weight: number }[]; start?: { of: string } };
  influences: Influence[];
}
interface Take {
  id: string;
  status: string;
  quality: string;
  pictureUrl?: string;
  control?: { pictureUrl?: string };
  influences: Influence[];
}

let studio: RunningStudio;
let browser: Browser;
let mixId: string;
beforeAll(async () => {
  studio = await RunningStudio.start();
  for (const seed of [1, 2, 3]) await bringIn(studio, seed, `cloth ${seed}`);
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
});

const go = (address: string) => browser.driver.get(studio.url + address);
const mix = () => studio.get<Mix>(`/mixes/${mixId}`);
const tray = () => browser.all('aside[aria-label="Tray"] [role=listitem] button');
const slider = (name: string, n = 0): Promise<WebElement> =>
  browser.until(`slider ${name}`, async () => (await browser.all(`[role=slider][aria-label$="${name}"]`))[n]);
const saved = () =>
  browser.until('everything to be saved', () => browser.driver.executeScript<boolean>('return window.urbildSaved'));
const takes = () => studio.get<Take[]>(`/takes?mixId=${mixId}`);
const chord = (...keys: string[]) =>
  browser.driver
    .switchTo()
    .activeElement()
    .sendKeys(Key.chord(...keys));

/** The mix that the address names. */
const addressed = async () => new URL(await browser.driver.getCurrentUrl()).pathname.split('/')[2];

/** Begins a mix by a button, and opens it without drafts. */
async function beginMix(): Promise<void> {
  await go('/bench?drafts=off');
  const before = (await studio.get<Mix[]>('/mixes')).map((m) => m.id);
  await (await browser.button(before.length ? 'New mix' : 'Begin a mix')).click();
  await browser.until('a new mix', async () => {
    mixId = await addressed();
    return mixId && !before.includes(mixId);
  });
  await go(`/bench/${mixId}?drafts=off`);
  await browser.until('the tray', async () => (await tray()).length >= 3);
}

describe('a mix of four influences', () => {
  test('by pointer: dragged in, weighed, given a span, put in another order', async () => {
    await beginMix();
    for (const k of [0, 1, 2, 0]) {
      const before = (await browser.all('input[aria-label^="Weight of"]')).length;
      await drag(browser, (await tray())[k], await browser.find('section[aria-label="Course"]'));
      await browser.until(
        'one more lane',
        async () => (await browser.all('input[aria-label^="Weight of"]')).length > before,
      );
    }
    const move = async (handle: WebElement, x: number, y: number) =>
      browser.driver
        .actions({ async: true })
        .move({ origin: handle })
        .press()
        .move({ origin: Origin.POINTER, x, y, duration: 150 })
        .release()
        .perform();
    await move(await slider(': weight', 1), 0, 6);
    await move(await slider('end of its span', 2), -300, 0);
    const thumbs = await browser.all('button[aria-label*="choose with others"]');
    await drag(browser, thumbs[3], thumbs[0]);
    await saved();
    const { influences } = await mix();
    expect(influences).toHaveLength(4);
    expect(influences[0].referenceId).toBe(influences[1].referenceId);
    expect(influences[2].weight).toBeLessThan(0.7);
    expect(influences[3].to).toBeLessThan(0.85);
  });

  test('by keyboard alone, with the same result', async () => {
    await beginMix();
    for (const k of [0, 1, 2, 0]) {
      const before = (await browser.all('input[aria-label^="Weight of"]')).length;
      await (await tray())[k].sendKeys(Key.ENTER);
      await browser.until(
        'one more lane',
        async () => (await browser.all('input[aria-label^="Weight of"]')).length > before,
      );
    }
    await (await slider(': weight', 1)).sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN);
    const end = await slider('end of its span', 2);
    await end.sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT);
    for (let n = 3; n > 0; n--) await (await slider(': weight', n)).sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
    await (await slider(': weight', 0)).sendKeys('o');
    await saved();
    const { influences } = await mix();
    expect(influences.map((i) => i.on)).toEqual([false, true, true, true]);
    expect(influences[0].referenceId).toBe(influences[1].referenceId);
    expect(influences[2].weight).toBeCloseTo(0.65);
    expect(influences[3].to).toBeCloseTo(0.7);
  });

  test('ten steps are undone and done again, and a reload keeps everything', async () => {
    const before = (await mix()).influences;
    const weight = await slider(': weight', 1);
    for (let k = 0; k < 10; k++) await weight.sendKeys(Key.ARROW_UP);
    await saved();
    const after = (await mix()).influences;
    expect(after[1].weight).toBeCloseTo(before[1].weight + 0.5);
    for (let k = 0; k < 10; k++) await chord(Key.CONTROL, 'z');
    await saved();
    await browser.until('ten steps back', async () => (await mix()).influences[1].weight === before[1].weight);
    for (let k = 0; k < 10; k++) await chord(Key.CONTROL, Key.SHIFT, 'z');
    await browser.until('ten steps on', async () => (await mix()).influences[1].weight === after[1].weight);
    await browser.driver.navigate().refresh();
    expect(await (await slider(': weight', 1)).getAttribute('aria-valuenow')).toBe(String(after[1].weight));
  });

  test('what is dragged from another window of the studio comes into the course', async () => {
    const before = (await mix()).influences;
    await browser.driver.executeScript(
      `const data = new DataTransfer();
       data.setData('application/x-urbild-source+json', JSON.stringify({ of: 'reference', id: arguments[0] }));
       const course = document.querySelector('section[aria-label="Course"]');
       for (const type of ['dragover', 'drop'])
         course.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer: data }));`,
      before[0].referenceId,
    );
    await browser.until('another lane', async () => (await mix()).influences.length === before.length + 1);
    await (await browser.button('Undo')).click();
    await browser.until('it to be gone', async () => (await mix()).influences.length === before.length);
  });

  test('a picture that is let go over the table is what the mix starts from, until that is undone', async () => {
    await drag(browser, (await tray())[0], await browser.find('[data-testid="start-drop"]'));
    await browser.until('the start', async () => (await mix()).settings.start?.of === 'reference');
    await browser.find('img[alt="Start picture"]');
    await (await browser.button('Undo')).click();
    await browser.until('no start', async () => !(await mix()).settings.start);
  });

  test('a pen on a tablet moves a weight and the end of a span', async () => {
    await browser.resize(1024, 768);
    const before = (await mix()).influences;
    await penStroke(browser.driver, await slider(': weight', 1), 0, -6);
    await penStroke(browser.driver, await slider('end of its span', 1), -120, 0);
    await saved();
    await browser.until('both', async () => {
      const [, now] = (await mix()).influences;
      return now.weight > before[1].weight && now.to < before[1].to;
    });
    expect(await tooWide(browser)).toBe(0);
    await browser.resize(1280, 800);
    for (let k = 0; k < 2; k++) await (await browser.button('Undo')).click();
    await browser.until('both back', async () => {
      const [, now] = (await mix()).influences;
      return now.weight === before[1].weight && now.to === before[1].to;
    });
  });

  test('what each setting does is shown in pictures', async () => {
    await (await browser.button('What each does')).click();
    const shown = await browser.find('[role=dialog]');
    expect(await shown.findElements(By.css('figure'))).toHaveLength(20);
    await browser.until('the pictures', () =>
      browser.driver.executeScript<boolean>(
        `return [...document.querySelectorAll('[role=dialog] img')].every((i) => i.complete && i.naturalWidth > 500)`,
      ),
    );
    expect(await faultsOfAccess(browser)).toEqual([]);
    await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
    await browser.until('it to be closed', async () => !(await browser.all('[role=dialog]')).length);
  });

  test('chosen lanes are scaled together', async () => {
    const thumbs = await browser.all('button[aria-label*="choose with others"]');
    await thumbs[1].click();
    await thumbs[2].click();
    const before = (await mix()).influences.map((i) => i.weight);
    await (await slider(': weight', 1)).sendKeys(Key.ARROW_DOWN, Key.ARROW_DOWN);
    await saved();
    await browser.until('both weights', async () => (await mix()).influences[1].weight < before[1]);
    const now = (await mix()).influences.map((i) => i.weight);
    expect(now[2] / before[2]).toBeCloseTo(now[1] / before[1], 2);
    expect(now[3]).toBe(before[3]);
    await thumbs[1].click();
    await thumbs[2].click();
  });
});

describe('test strips', () => {
  const cells = (status: string) => browser.all(`[data-testid="cell"][data-status="${status}"]`);

  test('five weights are rendered; one of them is adopted and taken back', async () => {
    await (await browser.find('button[aria-label^="The prompt"]')).click();
    await (await browser.find('input[aria-label="The prompt"]')).sendKeys('Tove on the quay at noon', Key.ENTER);
    await saved();
    await go(`/bench/${mixId}/strips`);
    await (await browser.button('Render the strip')).click();
    await browser.until('five cells', async () => (await cells('done')).length === 5, 120);
    const control = await browser.find('img[alt="Control"]');
    expect(await control.isDisplayed()).toBe(true);
    await (await browser.all('[data-testid="cell"]'))[3].click();
    await (await browser.buttonFrom('Adopt')).click();
    await browser.find('section[aria-label="Course"]');
    expect((await mix()).influences[0]).toMatchObject({ weight: 0.9, on: true });
    await (await browser.button('Undo')).click();
  });

  test('leave one out: the whole mix and a cell without each of its influences', async () => {
    await go(`/bench/${mixId}/strips`);
    await (await browser.buttonFrom('Leave one out')).click();
    await browser.until('the strip', async () =>
      (await (await browser.find('section[aria-label="leave one out"]')).getText()).includes('the whole mix'),
    );
    const acting = (await mix()).influences.filter((i) => i.on && i.weight > 0).length;
    await browser.until('its cells', async () => (await cells('done')).length === acting + 1, 120);
    await browser.driver.navigate().refresh();
    await browser.until('its cells after a reload', async () => (await cells('done')).length === acting + 1);
  });

  test('words at length: what is not known gives way, richer words are drawn beside the plain ones', async () => {
    await go(`/bench/${mixId}?drafts=off`);
    await (await browser.button('Words')).click();
    const words = await browser.find('textarea[aria-label="The prompt at length"]');
    await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Tove on the quay with a hron');
    const unknown = await browser.find('ul[aria-label="Words that are not drawn"]');
    expect(await unknown.getText()).toContain('“hron” is not drawn');
    await (await browser.button('heron')).click();
    expect(await words.getAttribute('value')).toBe('Tove on the quay with a heron');
    const heron = await browser.find('[role=slider][aria-label="How much “heron” counts"]');
    await heron.sendKeys(...Array.from({ length: 5 }, () => Key.ARROW_RIGHT));
    await browser.until('the weight of the heron', async () =>
      (await mix()).settings.emphases?.some((e) => e.words === 'heron' && e.weight === 1.5),
    );
    await (await browser.button('Keep the marked words')).click();
    await browser.find('button[aria-label="Forget the phrase Tove on the quay with a heron"]');
    expect(await faultsOfAccess(browser)).toEqual([]);
    await (await browser.buttonFrom('Draw both')).click();
    await browser.find('section[aria-label="plain and richer words"]');
    await browser.until('both drafts', async () => (await cells('done')).length === 2, 120);
    expect((await mix()).prompt).toBe('Tove on the quay with a heron');
  });

  test('axe finds nothing, and nothing scrolls sideways', async () => {
    expect(await faultsOfAccess(browser)).toEqual([]);
    await browser.resize(1024, 800);
    expect(await tooWide(browser)).toBe(0);
    await browser.resize(1280, 800);
  });
});

describe('find the weights', () => {
  test('a search ends with an answer, and its weights are adopted', async () => {
    await go(`/bench/${mixId}?drafts=off`);
    await (await browser.button('Find weights')).click();
    await (await browser.button('Search')).click();
    const state = await browser.until(
      'an answer',
      async () => {
        const found = await (await browser.find('[data-testid="solve-state"]')).getAttribute('data-status');
        return found !== 'running' && found;
      },
      180,
    );
    expect(['met', 'cannot']).toContain(state);
    expect(await faultsOfAccess(browser)).toEqual([]);
    const [solve] = await studio.get<{ best: number; path: { weights: { influence: string; weight: number }[] }[] }[]>(
      `/solves?mixId=${mixId}`,
    );
    await (await browser.buttonFrom('Adopt')).click();
    await saved();
    const wanted = solve.path[solve.best].weights[0];
    await browser.until(
      'the weights',
      async () => (await mix()).influences.find((i) => i.id === wanted.influence)?.weight === wanted.weight,
    );
  });
});

describe('regions and takes', () => {
  test('a look is bound to a painted mask: outside of it the take is its control, byte for byte', async () => {
    await beginMix();
    await (await tray())[0].sendKeys(Key.ENTER);
    await (await browser.find('button[aria-label^="The prompt"]')).click();
    await (await browser.find('input[aria-label="The prompt"]')).sendKeys('a mill at noon', Key.ENTER);
    await (await browser.find('button[aria-label$="change"]')).click();
    await (await browser.button('in a painted region')).click();
    const canvas = await browser.find('[data-testid="mask-canvas"]');
    await browser.driver
      .actions({ async: true })
      .move({ origin: canvas, x: -150, y: -60 })
      .press()
      .move({ origin: canvas, x: -40, y: 50, duration: 200 })
      .move({ origin: canvas, x: -150, y: 60, duration: 200 })
      .release()
      .perform();
    const covered = async () => parseInt(await (await browser.find('[data-testid="mask-cover"]')).getText());
    const byMouse = await covered();
    expect(byMouse).toBeGreaterThan(0);
    // and by pen, from the middle on
    await penStroke(browser.driver, canvas, 40, 90);
    await browser.until('more of it', async () => (await covered()) > byMouse);
    expect(await faultsOfAccess(browser)).toEqual([]);
    await (await browser.button('Use this mask')).click();
    await browser.until('the region', async () => !!(await mix()).influences[0].region);
    await (await browser.button('Render a proof')).click();
    const take = await browser.until('the proof', async () => (await takes()).find((t) => t.status === 'done'), 120);
    const [seen, control, mask] = await Promise.all(
      [take!.pictureUrl!, take!.control!.pictureUrl!, `/api/v1/blobs/${take!.influences[0].region!.content}`].map((a) =>
        pixelsOf(studio, a),
      ),
    );
    let outside = 0;
    let inside = 0;
    for (let y = 0; y < seen.height; y++)
      for (let x = 0; x < seen.width; x++) {
        const m = Math.floor((y * mask.height) / seen.height) * mask.width + Math.floor((x * mask.width) / seen.width);
        // a pixel beside the edge of the mask belongs to neither
        const around = [-2, 2]
          .flatMap((d) => [m + d, m + d * mask.width])
          .map((i) => mask.data[i * mask.channels] ?? 0);
        const off = [0, 1, 2].reduce((s, c) => {
          const i = (y * seen.width + x) * seen.channels + c;
          return s + Math.abs(seen.data[i] - control.data[i]);
        }, 0);
        if (around.every((v) => v === 0) && mask.data[m * mask.channels] === 0) outside += off;
        else inside += off;
      }
    expect(outside).toBe(0);
    expect(inside).toBeGreaterThan(10_000);
  });

  test('a take is opened, marked, varied, and compared with another', async () => {
    const asked = await fetch(`${studio.url}/api/v1/takes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ mixId, quality: 'draft' }),
    });
    const take = (await asked.json()) as Take;
    await browser.until('the draft', async () => (await studio.get<Take>(`/takes/${take.id}`)).status === 'done', 60);
    await go(`/takes/${take.id}`);
    // by the keyboard alone: what can be done here, found by a word of it
    await browser.button('Keeper');
    await browser.driver.actions().sendKeys('?').perform();
    const word = await browser.find('input[role=combobox]');
    await word.sendKeys('marks kee');
    expect(await (await browser.find('[role=option][aria-selected=true]')).getText()).toContain('Keeper');
    expect(await faultsOfAccess(browser)).toEqual([]);
    await word.sendKeys(Key.ENTER);
    await browser.until('the mark', async () => (await studio.get<{ keeper: boolean }>(`/takes/${take.id}`)).keeper);
    expect(await faultsOfAccess(browser)).toEqual([]);
    await (await browser.button('Four more like it')).click();
    await browser.until('four more', async () => (await takes()).filter((t) => t.status === 'done').length >= 6, 120);
    const [a, b] = await takes();
    await go(`/compare?takes=${a.id},${b.id}`);
    for (const mode of ['wipe', 'flicker', 'difference', 'beside']) {
      await (await browser.button(mode)).click();
      const pictures = await browser.all('section[aria-label="Compared takes"] img');
      expect(pictures).toHaveLength(2);
      expect((await pictures[0].getRect()).width).toBeGreaterThan(400);
    }
    expect(await (await browser.find('aside[aria-label="Differences"]')).getText()).toContain('seed');
    expect(await faultsOfAccess(browser)).toEqual([]);
    expect(await tooWide(browser)).toBe(0);
  });

  test('in force and versions tell what acts', async () => {
    await go(`/bench/${mixId}?drafts=off`);
    await (await browser.button('Active now')).click();
    expect(await (await browser.find('[data-testid="in-force"]')).getText()).toMatch(/768 × 512 px/);
    expect(await faultsOfAccess(browser)).toEqual([]);
    await chord(Key.ESCAPE);
    await (await browser.button('Versions')).click();
    await browser.until('a version', async () =>
      (await (await browser.find('[role=dialog]')).getText()).includes('Version 1'),
    );
  });
});
