import { unzipSync } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import { Key } from 'selenium-webdriver';
import sharp from 'sharp';
import { Browser } from './browser';
import { bringIn, faultsOfAccess, tooWide } from './page';
import { RunningStudio } from './studio';

interface Shot {
  id: string;
  title: string;
  prompt: string;
  leadId?: string;
  stale: string[];
  takes: { id: string; status: string; keeper: boolean; trial?: { kept: boolean } }[];
}
interface Series {
  id: string;
  shots: Shot[];
  queue: { waiting: number; rendering: number };
}

let studio: RunningStudio;
let browser: Browser;
let seriesId: string;

const post = async <T>(address: string, body: object): Promise<T> =>
  (await (
    await fetch(`${studio.url}/api/v1${address}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  ).json()) as T;

beforeAll(async () => {
  studio = await RunningStudio.start();
  const look = await bringIn(studio, 2, 'cloth');
  const other = await bringIn(studio, 5, 'wool');
  expect(other).toBeTruthy();
  const description = 'a young woman with a red plait, in a green coat';
  const [candidate] = await post<{ hash: string }[]>('/cast/candidates', { description });
  const { id } = await post<{ id: string }>('/cast/pick', { hash: candidate.hash, name: 'Wiebke', description });
  for (;;) {
    const { waiting, traits } = await studio.get<{ waiting: number; traits: unknown[] }>(`/cast/${id}/reading`);
    if (!waiting && traits.length) break;
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  const usual = { from: 0, to: 1, reading: 'normal', on: true };
  await post('/mixes', {
    name: 'Cloth and Wiebke',
    prompt: '',
    influences: [
      { id: 'look', referenceId: look, gives: 'look', weight: 0.5, ...usual },
      { id: 'who', of: 'character', referenceId: id, gives: 'character', weight: 1, ...usual },
    ],
  });
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
});

const LINES = [
  'The pier: half figure of a young woman on the pier, morning',
  'The harbour: half figure of a young woman in the harbour at noon',
  'half figure of a young woman on the beach',
  'Turned: half figure of a young woman in the meadow, from behind',
  'half figure of a young woman in the orchard',
  'half figure of a young woman on the market quay',
];
const read = () => studio.get<Series>(`/series/${seriesId}`);
const rest = (seconds = 180) =>
  browser.until(
    'everything to be rendered',
    async () => {
      const { queue } = await read();
      return queue.waiting + queue.rendering === 0;
    },
    seconds,
  );
const press = (...keys: string[]) =>
  browser.driver
    .switchTo()
    .activeElement()
    .sendKeys(...keys);
const tile = (title: string) => browser.find(`[aria-label^="Shot "][aria-label*="${title}"]`);
const fromMenu = async (item: string) => {
  await (await browser.button('More for this series')).click();
  await browser.until(item, async () => {
    for (const one of await browser.all('[role=menuitem]'))
      if ((await one.getText()).includes(item)) {
        await one.click();
        return true;
      }
    return false;
  });
};

test('six lines become six shots over a mix', async () => {
  await browser.driver.get(`${studio.url}/series`);
  await (await browser.buttonFrom('Begin a series')).click();
  await (await browser.button('Add shots')).click();
  await (await browser.find('textarea[aria-label="Shots as text"]')).sendKeys(LINES.join('\n'));
  await browser.until(
    'what is made of it',
    async () => (await browser.all('ol[aria-label="What is made of it"] li')).length === 6,
  );
  await (await browser.button('Add 6 shots')).click();
  await browser.until('six tiles', async () => (await browser.all('[data-testid=contact-sheet] li')).length === 6);
  seriesId = new URL(await browser.driver.getCurrentUrl()).pathname.split('/')[2];
  expect((await read()).shots.map((s) => s.title)).toEqual([
    'The pier',
    'The harbour',
    'Half figure of a young woman',
    'Turned',
    'Half figure of a young woman',
    'Half figure of a young woman',
  ]);
});

test('drafts come in, and the shot that was spoiled falls out, with its cause', async () => {
  await fromMenu('Drafts of all shots');
  await rest();
  await browser.until('all pictures', async () => (await browser.all('[data-testid=shot-picture]')).length === 6);
  const fallen = await browser.until('the shot that falls out', async () => {
    const labels = await Promise.all(
      (await browser.all('[data-testid=contact-sheet] li button')).map((b) => b.getAttribute('aria-label')),
    );
    const out = labels.filter((l) => l?.includes('falls out'));
    return out.length ? out : undefined;
  });
  expect(fallen).toHaveLength(1);
  expect(fallen![0]).toContain('Shot 4: Turned');
  await (await tile('Turned')).click();
  const said = await (await browser.find('section[aria-label="Falls out"]')).getText();
  expect(said).toContain('Wiebke turns away here');
});

test('its remedy is tried beside it, kept with one click, and can be undone', async () => {
  const offered = () => browser.all('section[aria-label="Falls out"] button');
  await browser.until('a remedy that was tried and helps', async () => (await offered()).length > 0, 120);
  await (await browser.button('Turn Wiebke to us')).click();
  await browser.until('the retake', async () => (await browser.all('figcaption')).length === 2);
  await browser.until(
    'the retake to be done',
    async () => {
      const keep = await browser.button('Keep the retake');
      return keep.isEnabled();
    },
    60,
  );
  expect((await read()).shots[3].prompt).toContain('from behind');
  await (await browser.button('Keep the retake')).click();
  await browser.until('nobody to fall out', async () => {
    const labels = await Promise.all(
      (await browser.all('[data-testid=contact-sheet] li button')).map((b) => b.getAttribute('aria-label')),
    );
    return labels.length === 6 && labels.every((l) => !l?.includes('falls out'));
  });
  const mended = (await read()).shots[3];
  expect(mended.prompt).toContain('three-quarter view');
  expect(mended.stale).toEqual([]);
  await (await browser.find('[data-testid=contact-sheet]')).click();
  await press(Key.chord(Key.CONTROL, 'z'));
  await browser.until('the old words', async () => (await read()).shots[3].prompt.includes('from behind'));
  await press(Key.chord(Key.CONTROL, Key.SHIFT, 'z'));
  await browser.until('the mended words again', async () => (await read()).shots[3].prompt.includes('three-quarter'));
});

test('by keyboard: from shot to shot, keepers, another order, a shot left out', async () => {
  await (await tile('The pier')).click();
  for (let k = 0; k < 6; k++) {
    // the retake that was kept is the keeper of its shot already
    if (!(await read()).shots[k].takes.some((t) => t.keeper)) await press('k');
    await browser.until(
      `keeper of shot ${k + 1}`,
      async () => (await read()).shots[k].takes.filter((t) => t.keeper).length === 1,
    );
    await press(Key.ARROW_RIGHT);
  }
  await (await tile('The harbour')).click();
  await press(Key.chord(Key.ALT, Key.ARROW_LEFT));
  await browser.until('the other order', async () => (await read()).shots[0].title === 'The harbour');
  await browser.until('the tiles in the other order', async () =>
    (await (await browser.find('[data-testid=contact-sheet] li')).getText()).includes('The harbour'),
  );
  expect(await faultsOfAccess(browser)).toEqual([]);
  for (const width of [1024, 1280, 2560]) {
    await browser.resize(width, 800);
    expect([width, await tooWide(browser)]).toEqual([width, 0]);
  }
  await browser.resize(1280, 800);
  await browser.driver.navigate().refresh();
  await browser.until(
    'the same shot after a reload',
    async () => (await (await tile('The harbour')).getAttribute('aria-pressed')) === 'true',
  );
});

test('the keepers go out as an archive and as a contact sheet', async () => {
  const bytes = async (form: string) =>
    new Uint8Array(await (await fetch(`${studio.url}/api/v1/series/${seriesId}/export/${form}`)).arrayBuffer());
  await (await browser.button('More for this series')).click();
  const links = await browser.until('the exports', async () => {
    const all = await browser.all('[role=menuitem][href*="/export/"]');
    return all.length === 4 ? Promise.all(all.map((a) => a.getAttribute('href'))) : undefined;
  });
  expect(links!.map((l) => l!.split('/').pop())).toEqual(['zip', 'pdf', 'png', 'csv']);
  await press(Key.ESCAPE);
  const files = unzipSync(await bytes('zip'));
  const pictures = Object.keys(files).filter((f) => f.endsWith('.png'));
  expect(pictures.map((f) => f.slice(0, 3))).toEqual(['001', '002', '003', '004', '005', '006']);
  expect(pictures[0]).toContain('the-harbour');
  const lead = (await read()).shots[0];
  const { pictureUrl } = await studio.get<{ pictureUrl: string }>(`/takes/${lead.leadId}`);
  const inside = await sharp(files[pictures[0]]).raw().toBuffer();
  const kept = Buffer.from(await (await fetch(studio.url + pictureUrl)).arrayBuffer());
  expect(inside.equals(await sharp(kept).raw().toBuffer())).toBe(true);
  const csv = new TextDecoder().decode(files['measurements.csv']);
  expect(csv.split('\n')[0]).toContain('arrival of Wiebke');
  const pdf = await PDFDocument.load(await bytes('pdf'));
  expect(pdf.getPageCount()).toBe(2);
  expect(pdf.getTitle()).toBe('New series');
});

test('another look over the whole series, side by side, left again', async () => {
  await (await browser.find('button[aria-label^="cloth, weight"]')).click();
  await browser.until('what can come instead', async () => {
    for (const one of await browser.all('ul[aria-label="What can come instead"] button'))
      if ((await one.getText()).includes('wool')) {
        await one.click();
        return true;
      }
    return false;
  });
  await (await browser.button('Try wool on drafts')).click();
  await browser.find('section[aria-label^="Swap: wool"]');
  await rest();
  await browser.until('the pairs', async () => (await browser.all('img[alt$=", after"]')).length === 6);
  await browser.until('how far the layouts were held', async () =>
    (await (await browser.find('section[aria-label^="Swap: wool"] header')).getText()).includes('layouts held'),
  );
  await (await browser.button('Leave it as it was')).click();
  await browser.find('[data-testid=contact-sheet]');
});

test('a shot is set in motion, held by one frame, and steadier for it', async () => {
  await (await browser.button('Set the shot in motion')).click();
  const first = await browser.find('[role=slider][aria-label="Last frame"]');
  const size = await first.getAttribute('aria-valuenow');
  await first.sendKeys('-', Key.ARROW_LEFT);
  expect(Number(await first.getAttribute('aria-valuenow'))).toBeLessThan(Number(size));
  await (await browser.find('[role=dialog] select')).sendKeys('8');
  await (await browser.button('Render 8 frames')).click();
  await browser.until('the sequence', async () => (await browser.driver.getCurrentUrl()).includes('/sequences/'));
  const id = new URL(await browser.driver.getCurrentUrl()).pathname.split('/')[2];
  await studio.idle();
  await browser.until('all frames', async () => (await browser.all('ul[aria-label=Frames] img')).length === 8);
  await (await browser.find('[role=slider][aria-label=Frame]')).sendKeys(Key.END);
  await browser.until('the last frame', async () =>
    ((await (await browser.find('img[alt^="Frame 8 of 8"]')).getAttribute('src')) ?? '').includes('/blobs/'),
  );
  await (await browser.button('Hold all by this frame')).click();
  await browser.find('[aria-label^="Frame 8, holds the others"]');
  await studio.idle();
  await browser.until('how steady it is', async () =>
    (await (await browser.find('section[aria-label="Change from frame to frame"]')).getText()).includes('steadier'),
  );
  const { times } = await studio.get<{ times: { strokes: number } }>(`/sequences/${id}/steadiness`);
  expect(times.strokes).toBeGreaterThan(1.5);
  await (await browser.button('Play')).click();
  await browser.until('another frame', async () => (await browser.all('img[alt^="Frame 8 of 8"]')).length === 0);
  await (await browser.button('Stop')).click();
  expect(await faultsOfAccess(browser)).toEqual([]);
  for (const width of [1024, 1280, 2560]) {
    await browser.resize(width, 800);
    expect([width, await tooWide(browser)]).toEqual([width, 0]);
  }
  await browser.resize(1280, 800);
});
