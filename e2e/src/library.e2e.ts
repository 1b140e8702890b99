import { mkdtemp, rm, writeFile } from 'fs/promises';
import { readFileSync } from 'fs';
import os from 'os';
import path from 'path';
import { Key } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { penStroke } from './pen';
import { RunningStudio } from './studio';

const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** Pixels of an invented scene: sky, hills of its own, a sun; each seed another. */
function scene(seed: number, w = 360, h = 240): { data: Buffer; raw: sharp.CreateRaw } {
  const data = Buffer.alloc(w * h * 3);
  const wave = (x: number, k: number) => Math.sin(x / (17 + ((seed * 7 + k * 5) % 23)) + seed * 1.7 + k);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++, i += 3) {
      const hill = h * (0.35 + ((seed * 13) % 40) / 100) + 22 * wave(x, 0) + 9 * wave(x * 2.3, 1);
      const sun = Math.exp(-((x - ((seed * 83) % w)) ** 2 + (y - ((seed * 29) % 90) - 20) ** 2) / 700);
      const grain = ((x * 31 + y * 17 + seed * 11) % 13) - 6;
      const below = y > hill;
      data[i] = Math.max(
        0,
        Math.min(255, (below ? 40 + ((seed * 37) % 120) : 150 + ((seed * 19) % 60)) + 90 * sun + grain),
      );
      data[i + 1] = Math.max(
        0,
        Math.min(
          255,
          (below ? 60 + ((seed * 53) % 90) : 140 + ((seed * 41) % 80)) + 60 * sun + 14 * wave(y * 3, 2) + grain,
        ),
      );
      data[i + 2] = Math.max(
        0,
        Math.min(255, (below ? 40 + ((seed * 29) % 70) : 170 + ((seed * 23) % 70)) - 60 * sun + grain),
      );
    }
  return { data, raw: { width: w, height: h, channels: 3 } };
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

interface Found {
  readonly total: number;
  readonly ids: string[];
}
const search = (query = '') => studio.get<Found>(`/references/search${query}`);
const imports = () => studio.get<{ state: string; reason?: string }[]>('/imports');
const go = (address: string) => browser.driver.get(studio.url + address);

/** 60 files: 51 single pictures in several formats, 2 equal files, 2 nearly equal ones, 5 that are no pictures. */
async function sixtyFiles(): Promise<string[]> {
  const files: string[] = [];
  const write = async (name: string, bytes: Buffer | string) => {
    const file = path.join(folder, name);
    await writeFile(file, bytes);
    files.push(file);
  };
  const encode = (seed: number, format: string) => {
    const { data, raw } = scene(seed);
    const image = sharp(data, { raw });
    return (
      format === 'jpg' ? image.jpeg({ quality: 94 }) : format === 'webp' ? image.webp({ quality: 92 }) : image.png()
    ).toBuffer();
  };
  for (let k = 0; k < 51; k++) {
    const format = ['png', 'jpg', 'webp'][k % 3];
    await write(`scene_${String(k).padStart(2, '0')}.${format}`, await encode(k + 1, format));
  }
  await write('again_1.png', await encode(1, 'png'));
  await write('again_2.jpg', await encode(2, 'jpg'));
  for (const k of [4, 7]) {
    const { data, raw } = scene(k);
    await write(`smaller_${k}.png`, await sharp(data, { raw }).resize(300, 200).png().toBuffer());
  }
  await write('words.png', 'these are only words');
  await write('empty.jpg', '');
  await write('cut_off.png', (await encode(60, 'png')).subarray(0, 5000));
  await write('page.gif', '<html>no picture</html>');
  await write('noise.webp', Buffer.alloc(3000, 7));
  return files;
}

test('60 files are dropped; a reload in the middle loses none: 51 references, 5 reasons, 4 questions', async () => {
  await go('/library');
  const files = await sixtyFiles();
  expect(files).toHaveLength(60);
  await (await browser.find('input[type=file]')).sendKeys(files.join('\n'));
  await browser.until('the first pictures to be in', async () => (await search()).total >= 6);
  await browser.driver.navigate().refresh();
  await browser.until(
    'the rest to be read',
    async () => {
      const all = await imports();
      return all.length === 60 && all.every((f) => !['waiting', 'reading'].includes(f.state));
    },
    120,
  );
  const states = await imports();
  const count = (state: string) => states.filter((f) => f.state === state).length;
  expect([count('done'), count('refused'), count('question')]).toEqual([51, 5, 4]);
  expect((await search()).total).toBe(51);
  for (const f of states.filter((s) => s.state === 'refused'))
    expect(f.reason).toMatch(/not a picture|damaged|cannot be read/);
  await browser.until('the panel to say so', async () =>
    (await (await browser.find('[aria-label="Pictures on their way in"]')).getText()).includes('4 possible duplicates'),
  );
});

test('doubles stand side by side and are decided', async () => {
  await (await browser.button('Decide')).click();
  await (await browser.button('Skip the 2 equal files')).click();
  await browser.until('two questions to be left', async () => (await browser.all('[role=dialog] li')).length === 2);
  await (await browser.button('Keep both')).click();
  await browser.until('one question to be left', async () => (await browser.all('[role=dialog] li')).length === 1);
  await (await browser.button('Replace by the new one')).click();
  await browser.until('all to be decided', async () => (await imports()).every((f) => f.state !== 'question'));
  expect((await search()).total).toBe(52);
  await browser.until('the panel to go', async () => {
    // the panel grows smaller while it takes in what was decided: a click may miss
    await browser
      .button('Close')
      .then((button) => button.click())
      .catch(() => undefined);
    return (await imports()).length === 0;
  });
});

test('a crop by hand changes what the engine gets, and the next render; undo brings it back', async () => {
  const { ids } = await search('?words=scene%2010');
  const id = ids[0];
  const reference = () =>
    studio.get<{ pictureUrl: string; sourceUrl: string; preparation: { focus?: object } }>(`/references/${id}`);
  const before = await reference();
  const post = async <T>(address: string, body: object) =>
    (await (
      await fetch(`${studio.url}/api/v1${address}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json()) as T;
  const mix = await post<{ id: string }>('/mixes', {
    prompt: 'the harbour at noon',
    influences: [{ id: 'a', referenceId: id, gives: 'look', weight: 1, from: 0, to: 1, reading: 'normal', on: true }],
  });
  const render = async () => {
    const { id: takeId } = await post<{ id: string }>('/takes', { mixId: mix.id, quality: 'draft' });
    return browser.until('the take', async () => {
      const take = await studio.get<{ status: string; pictureUrl: string }>(`/takes/${takeId}`);
      return take.status === 'done' ? take.pictureUrl : undefined;
    });
  };
  const whole = await render();
  await go(`/library?sel=${id}`);
  await (await browser.button('Focus')).click();
  const grip = await browser.find('button[aria-label^="Focus, lower right corner"]');
  await grip.sendKeys(...Array.from({ length: 12 }, () => Key.ARROW_LEFT));
  await browser.until('the crop to be kept', async () => (await reference()).preparation.focus !== undefined);
  await browser.until('the picture to be prepared', async () =>
    /sees 3[0-3]\d × /.test(await (await browser.find('aside[aria-label="Selection"]')).getText()),
  );
  const after = await reference();
  expect(after.pictureUrl).not.toBe(before.pictureUrl);
  expect(after.sourceUrl).toBe(before.sourceUrl);
  expect(await render()).not.toBe(whole);
  await browser.driver.executeScript('document.activeElement.blur()');
  await browser.until('undo', async () => {
    await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
    return (await reference()).preparation.focus === undefined;
  });
  expect((await reference()).pictureUrl).toBe(before.pictureUrl);
  expect(await render()).toBe(whole);
});

test('a pen crops a picture on a tablet', async () => {
  const [id] = (await search('?words=scene%2012')).ids;
  const focus = async () =>
    (await studio.get<{ preparation: { focus?: { right: number } } }>(`/references/${id}`)).preparation.focus;
  await browser.resize(1024, 768);
  await go(`/library?sel=${id}`);
  await (await browser.button('Focus')).click();
  await penStroke(browser.driver, await browser.find('button[aria-label^="Focus, lower right corner"]'), -60, -30);
  await browser.until('the crop', async () => ((await focus())?.right ?? 1) < 0.9);
  await browser.resize(1280, 800);
});

test('joints are laid over a picture and moved by keys; the engine gets them', async () => {
  const { ids } = await search('?words=scene%2011');
  const joints = async () =>
    (await studio.get<{ joints: { name: string; x: number; y: number }[] }>(`/references/${ids[0]}/gives`)).joints;
  await go(`/library?sel=${ids[0]}`);
  await browser.driver
    .actions()
    .click(await browser.find('[role=tab][id$="gives"]'))
    .perform();
  if (!(await joints()).length) await (await browser.button('Lay a figure over it')).sendKeys(Key.ENTER);
  await browser.until('joints', async () => (await joints()).some((j) => j.name === 'leftWrist'));
  const wrist = await browser.find('circle[aria-label^="left wrist"]');
  const before = (await joints()).find((j) => j.name === 'leftWrist')!;
  await browser.driver.executeScript('arguments[0].focus()', wrist);
  await browser.driver.actions().sendKeys(Key.ARROW_UP).perform();
  await browser.until('the wrist to move', async () => {
    const after = (await joints()).find((j) => j.name === 'leftWrist')!;
    return after.y < before.y - 0.005 && Math.abs(after.x - before.x) < 0.001;
  });
});

test('a picture used as a layout is told to be a plan, its colours are named, and reload keeps it', async () => {
  const { ids } = await search('?words=scene%2012');
  const layout = async () =>
    (
      await studio.get<{ layout: { read: string; areas?: { colour: string; is: string }[]; near?: string } }>(
        `/references/${ids[0]}/gives`,
      )
    ).layout;
  await go(`/library?sel=${ids[0]}`);
  await browser.driver
    .actions()
    .click(await browser.find('[role=tab][id$="gives"]'))
    .perform();
  const radio = (nth: number) => browser.find(`label:nth-of-type(${nth}) > input[name^="layout-"]`);
  await browser.driver.executeScript('arguments[0].focus()', await radio(2));
  await browser.driver.actions().sendKeys(Key.SPACE).perform();
  await browser.until('a plan', async () => ((await layout()).areas?.length ?? 0) > 1);
  const first = await browser.find('select[aria-label$="stands for"]');
  await browser.driver.executeScript('arguments[0].focus()', first);
  await first.sendKeys('hills');
  await browser.until('the colour to be named', async () => (await layout()).areas![0].is === 'hills');
  await browser.driver.navigate().refresh();
  await browser.driver
    .actions()
    .click(await browser.find('[role=tab][id$="gives"]'))
    .perform();
  expect(await (await browser.find('select[aria-label$="stands for"]')).getAttribute('value')).toBe('hills');
  await browser.driver.executeScript('arguments[0].click()', await radio(3));
  await browser.until('a map of near and far', async () => (await layout()).near === 'light');
});

test('keys rate, mark, and sort; marks of many are undone at once', async () => {
  await go('/library?sort=title');
  const first = await browser.find('[role=option]');
  await first.click();
  await first.sendKeys(Key.chord(Key.CONTROL, 'a'));
  await browser.until(
    'all to be chosen',
    async () =>
      (await (await browser.find('[role=status]')).getText()) !== '' &&
      (await browser.driver.getCurrentUrl()).split('sel=').length === 53,
  );
  await first.sendKeys('4');
  await browser.until('all to be rated', async () => (await search('?rating=4')).total === 52);
  await first.sendKeys(Key.chord(Key.CONTROL, 'z'));
  await browser.until('no rating', async () => (await search('?rating=1')).total === 0);
  await first.sendKeys('s');
  await browser.until('all to be styles', async () => (await search('?kind=style')).total === 52);
});

test('two pictures are compared large under one zoom; one of them takes a new file and goes back to the old one', async () => {
  const { ids } = await search('?sort=oldest');
  await go(`/library?sort=oldest&sel=${ids[0]}&sel=${ids[1]}`);
  await (await browser.button('Compare them large')).click();
  await browser.until('both', async () => (await browser.all('[role=dialog] figure img')).length === 2);
  await browser.driver.actions().sendKeys('+', '+').perform();
  await browser.until('both larger', () =>
    browser.driver.executeScript<boolean>(
      `return [...document.querySelectorAll('[role=dialog] figure img')].every((i) => /scale\\(1\\.5/.test(i.style.transform))`,
    ),
  );
  await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
  await browser.until('it to be closed', async () => !(await browser.all('[role=dialog]')).length);

  const reference = () => studio.get<{ sourceUrl: string }>(`/references/${ids[0]}`);
  const before = await reference();
  const file = path.join(folder, 'worked on.png');
  const { data, raw } = scene(91);
  await writeFile(file, await sharp(data, { raw }).png().toBuffer());
  await go(`/library?sel=${ids[0]}`);
  await (await browser.find('input[aria-label^="A new file for"]')).sendKeys(file);
  await browser.until('the new file', async () => (await reference()).sourceUrl !== before.sourceUrl);
  await (await browser.button('Go back to it')).click();
  await browser.until('the old file', async () => (await reference()).sourceUrl === before.sourceUrl);
});

test('found by words, by colour, by likeness; the address keeps it, and a search is saved', async () => {
  await go('/library');
  await (await browser.find('input[placeholder^="Find by words"]')).sendKeys('scene 07');
  await browser.until('one picture', async () => (await browser.all('[role=option]')).length === 1);
  expect(await browser.driver.getCurrentUrl()).toContain('words=');
  await (await browser.button('Keep this search')).click();
  await (await browser.find('input[aria-label="Name of the search"]')).sendKeys('The seventh', Key.ENTER);
  await go('/library');
  await (await browser.button('The seventh')).click();
  await browser.until('one picture again', async () => (await browser.all('[role=option]')).length === 1);
  await (await browser.find('[role=option]')).click();
  await (await browser.button('made like this')).click();
  await browser.until('its like', async () => (await browser.driver.getCurrentUrl()).includes('by=style'));
  await go('/library');
  await (await browser.find('button[aria-label^="Pictures with the colour"]')).click();
  await browser.until('the colour in the address', async () =>
    (await browser.driver.getCurrentUrl()).includes('colour='),
  );
});

test('a look is made of a selection, has a map and a sample, and is weighed; a character gets a sheet', async () => {
  await go('/looks');
  await (await browser.button('Make a look')).click();
  await (await browser.button('Add pictures')).click();
  await browser.until('pictures to choose', async () => (await browser.all('[role=dialog] li img')).length > 6);
  for (const one of (await browser.all('[role=dialog] li button')).slice(0, 4)) await one.click();
  await (await browser.button('Add 4')).click();
  await browser.until('the map', async () => (await browser.all('canvas')).length === 1);
  await browser.until('advice', async () =>
    /Coherence/.test(await (await browser.find('[aria-label="Readings of the look"]')).getText()),
  );
  await (await browser.button('Draw a sample')).click();
  await browser.until(
    'the sample',
    async () => (await browser.all('img[alt^="A sample drawn with"]')).length === 1,
    60,
  );
  await (await browser.button('Weigh on the bench')).click();
  // where there are mixes already one of them is chosen, or a new one
  await browser.until(
    'the bench or a choice',
    async () => (await browser.all('[aria-label="Tray"], [role=dialog]')).length,
  );
  const [fresh] = await browser.all('[role=dialog] [aria-label="Mixes"] button');
  if (fresh) await fresh.click();
  await browser.find('[aria-label="Tray"]');
  await browser.until('the look in the course', async () =>
    (await (await browser.find('main')).getText()).includes('New look'),
  );
  await go('/cast');
  await (await browser.button('Make a character')).click();
  const [name, words] = await browser.all('[role=dialog] input');
  await name.sendKeys('Wenna');
  await words.sendKeys('an old woman with white hair in a bun and a green coat');
  await (await browser.button('Paint four from the description')).click();
  await browser.until('four candidates', async () => (await browser.all('[role=dialog] li img')).length === 4, 60);
  await (await browser.button('This is Wenna')).click();
  await browser.until(
    'her traits',
    async () => {
      const text = await (await browser.find('[aria-label="Traits and readings"]')).getText();
      return text.includes('hair style') && text.includes('skin');
    },
    90,
  );
});

test('no violation of WCAG 2.2 AA in library, look sheet and model sheet', async () => {
  const { ids } = await search();
  for (const address of [`/library?sel=${ids[0]}`, '/looks', '/cast', '/library/keepers']) {
    await go(address);
    await browser.find('main img, main h2, main h1');
    await new Promise((resolve) => setTimeout(resolve, 800));
    await browser.driver.executeScript(axe);
    const violations = await browser.driver.executeAsyncScript<{ id: string; nodes: { html: string }[] }[]>(
      `const done = arguments[arguments.length - 1];
       axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }).then((r) => done(r.violations));`,
    );
    expect([address, violations.map((v) => `${v.id}: ${v.nodes[0].html.slice(0, 160)}`)]).toEqual([address, []]);
    const wide = await browser.driver.executeScript<boolean>(
      'return document.documentElement.scrollWidth > innerWidth',
    );
    expect(wide).toBe(false);
  }
});

test('what the first view needs travels in at most 350 kB', async () => {
  const fresh = await Browser.open();
  try {
    await fresh.driver.get(`${studio.url}/library`);
    await fresh.until('the pictures', async () => (await fresh.all('main img')).length > 3);
    const bytes = await fresh.driver.executeScript<number>(
      `return performance.getEntriesByType('resource').filter((e) => /assets/.test(e.name)).reduce((sum, e) => sum + e.encodedBodySize, 0)`,
    );
    expect(bytes).toBeGreaterThan(50_000);
    expect(bytes).toBeLessThan(350_000);
  } finally {
    await fresh.close();
  }
});
