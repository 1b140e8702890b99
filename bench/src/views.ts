import Database from 'better-sqlite3';
import { cp, mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { databaseFile } from '../../apps/server/src/platform/database/options';
import { Browser } from '../../e2e/src/browser';
import { ROOT, RunningStudio } from '../../e2e/src/studio';
import { fillPictures } from './scroll';
import { fillSeries } from './seriesPage';

/** How often each view is opened. */
const ROUNDS = 9;
/** What the issue wants of a view that was open before, in ms, and of the first page, in kB as they travel. */
const WANTED = { opening: 300, bundle: 350 };
const TYPED = 'Ilse mends a net beside the old mill while it begins to rain';

/** Goes to an address as a link does, and tells after how many ms the view shows what it has: no skeleton, pictures in sight whole. */
const OPEN = `
  const [address, done] = arguments;
  const before = document.querySelector('h1');
  const start = performance.now();
  history.pushState({}, '', address);
  dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  const inSight = (e) => { const r = e.getBoundingClientRect(); return r.width && r.bottom > 0 && r.top < innerHeight && r.right > 0 && r.left < innerWidth; };
  const ready = () =>
    document.querySelector('h1') && document.querySelector('h1') !== before &&
    ![...document.querySelectorAll('main .skeleton')].some(inSight) &&
    [...document.querySelectorAll('main img')].filter(inSight).every((i) => i.complete && i.naturalWidth);
  let calm = 0;
  const look = () => {
    calm = ready() ? calm + 1 : 0;
    if (calm === 2) done(performance.now() - start);
    else if (performance.now() - start > 20000) done(-1);
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
`;

/** Notes for each letter that is typed how long it takes until the frame that shows it is painted. */
const LISTEN = `
  window.typed = [];
  document.addEventListener('keydown', (e) => {
    const since = e.timeStamp;
    requestAnimationFrame(() => setTimeout(() => window.typed.push(performance.now() - since)));
  }, true);
`;

const PROMPT_LINE = 'button[aria-label^="The prompt"], button[aria-label^="The words"]';
const PROMPT_FIELD = 'input[aria-label="The prompt"], input[aria-label="The words"]';

interface Timings {
  readonly opened: Map<string, number[]>;
  readonly typed: Map<string, number[]>;
  bytes: number;
}

/** A running studio with a page of its own. */
interface Side {
  readonly name: string;
  readonly studio: RunningStudio;
  readonly browser: Browser;
  readonly timings: Timings;
}

const inOrder = (times: readonly number[]) => [...times].sort((a, b) => a - b);
const part = (times: readonly number[], at: number) => inOrder(times)[Math.floor(at * (times.length - 1))];

async function sideOf(name: string, dataDir: string, root: string): Promise<Side> {
  const studio = await RunningStudio.start({ dataDir, root });
  const browser = await Browser.open();
  await browser.driver.manage().setTimeouts({ script: 30_000 });
  await browser.driver.get(`${studio.url}/library`);
  await browser.find('h1');
  return { name, studio, browser, timings: { opened: new Map(), typed: new Map(), bytes: 0 } };
}

/** The bytes of the first view as they travel: scripts, styles and fonts. */
async function firstBytes({ browser, studio, timings }: Side): Promise<void> {
  await browser.driver.get(`${studio.url}/library`);
  await browser.until('the list', async () => (await browser.all('main img')).length > 0);
  timings.bytes = await browser.driver.executeScript<number>(
    `return performance.getEntriesByType('resource').filter((e) => /assets/.test(e.name)).reduce((sum, e) => sum + e.encodedBodySize, 0)`,
  );
}

async function openEach({ browser, timings }: Side, views: readonly (readonly [string, string])[]): Promise<void> {
  for (const [name, address] of views) {
    const ms = await browser.driver.executeAsyncScript<number>(OPEN, address);
    timings.opened.set(name, [...(timings.opened.get(name) ?? []), ms]);
  }
}

async function type(side: Side, name: string, address: string, field: string): Promise<void> {
  const { browser, studio, timings } = side;
  await browser.driver.get(`${studio.url}${address}`);
  // the prompt is a line that becomes a field when it is pressed
  await (await browser.find(`${PROMPT_LINE}, ${field}`)).click();
  const input = await browser.find(field);
  await browser.driver.executeScript(LISTEN);
  for (const letter of TYPED) await input.sendKeys(letter);
  await new Promise((resolve) => setTimeout(resolve, 300));
  timings.typed.set(name, await browser.driver.executeScript<number[]>('return window.typed'));
}

const perRow = (sides: readonly Side[], told: (side: Side) => string) =>
  sides.map((side) => (sides.length > 1 ? `${side.name} ` : '') + told(side)).join('   ');

/** Measures `sides` in turns, round by round, and prints what each took. */
async function compare(sides: readonly Side[], seriesId: string): Promise<void> {
  const { id: mixId } = (
    await sides[0].studio
      .get<{ items: { id: string }[] } | { id: string }[]>('/mixes')
      .then((all) => ('items' in all ? all.items : all))
  )[0];
  const takes = await sides[0].studio.get<{ shots: { takes: { id: string }[] }[] }>(`/series/${seriesId}`);
  const [{ id: takeId }] = takes.shots[0].takes;
  const views = [
    ['library', '/library'],
    ['bench', `/bench/${mixId}`],
    ['series', `/series/${seriesId}?zoom=sheet`],
    ['take', `/takes/${takeId}`],
    ['looks', '/looks'],
    ['cast', '/cast'],
  ] as const;
  for (const side of sides) await firstBytes(side);
  for (let round = 0; round <= ROUNDS; round++) {
    for (const side of round % 2 ? [...sides].reverse() : sides) await openEach(side, views);
    // the first round fetches the parts of the page
    if (!round) for (const { timings } of sides) timings.opened.clear();
  }
  for (const side of sides) {
    await type(side, 'the prompt', `/bench/${mixId}`, PROMPT_FIELD);
    await type(side, 'the search', '/library', 'main input[type=search], main input');
  }
  console.log(`Views over 50 000 references and a series of 60 shots with 5 takes each:`);
  for (const [name] of views)
    console.log(
      `  opening ${name.padEnd(12)} ${perRow(sides, ({ timings }) => `median ${part(timings.opened.get(name)!, 0.5).toFixed(0)} ms, longest ${part(timings.opened.get(name)!, 1).toFixed(0)}`)}  (wanted: ${WANTED.opening})`,
    );
  for (const name of ['the prompt', 'the search'])
    console.log(
      `  a letter typed into ${name.padEnd(10)} ${perRow(sides, ({ timings }) => `median ${part(timings.typed.get(name)!, 0.5).toFixed(0)} ms, 95 % under ${part(timings.typed.get(name)!, 0.95).toFixed(0)}`)}  (two frames are 33)`,
    );
  console.log(
    `  the first view ${perRow(sides, ({ timings }) => `${(timings.bytes / 1000).toFixed(0)} kB`)}  (wanted: ${WANTED.bundle})`,
  );
}

/**
 * Opening views and typing, in Chromium, over a large studio; needs the built application. With a built tree of an earlier state in
 * URBILD_BEFORE both are measured in turns.
 */
export async function benchViews(): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-views-'));
  const seriesId = await fillSeries(dataDir);
  await fillPictures(dataDir);
  const db = new Database(databaseFile(dataDir));
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  const before = process.env.URBILD_BEFORE;
  const sides: Side[] = [];
  if (before) {
    await cp(dataDir, `${dataDir}-before`, { recursive: true });
    sides.push(await sideOf('before', `${dataDir}-before`, before));
  }
  sides.push(await sideOf('now', dataDir, ROOT));
  await compare(sides, seriesId);
  for (const { browser, studio } of sides) {
    await browser.close();
    await studio.remove();
  }
  await rm(dataDir, { recursive: true, force: true });
}

if (require.main === module) void import('reflect-metadata').then(benchViews);
