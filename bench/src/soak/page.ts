import { mkdtemp, rm } from 'fs/promises';
import os from 'os';
import path from 'path';
import { Key, Origin, type WebElement } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome';
import { Browser } from '../../../e2e/src/browser';
import { bringIn } from '../../../e2e/src/page';
import { RunningStudio } from '../../../e2e/src/studio';
import { chance, hold, tell } from './report';

interface Mix {
  readonly prompt: string;
  readonly influences: readonly {
    readonly id: string;
    readonly weight: number;
    readonly from: number;
    readonly to: number;
  }[];
}

const LANES = 3;
const SLOWER = 6;

/** What the sliders of the course and the lane of the words say. */
const SCREEN = `return {
  sliders: [...document.querySelectorAll('[role=slider]')].map((s) => [s.getAttribute('aria-label'), Number(s.getAttribute('aria-valuenow'))]),
  words: document.querySelector('[aria-label^="The words:"]')?.getAttribute('aria-label'),
}`;

const throttle = (browser: Browser, rate: number) =>
  (browser.driver as Driver).sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate });
const allSaved = (browser: Browser) =>
  browser.until(
    'everything to be saved',
    () => browser.driver.executeScript<boolean>('return window.urbildSaved'),
    120,
  );
const sliders = (browser: Browser): Promise<WebElement[]> =>
  browser.all('[role=slider][aria-label*=": weight"], [role=slider][aria-label*="its span"]');

/** What is on the screen, in the form in which the server has it. */
async function differs(browser: Browser, studio: RunningStudio, mixId: string): Promise<string[]> {
  const screen = await browser.driver.executeScript<{ sliders: [string, number][]; words?: string }>(SCREEN);
  const { influences, prompt } = await studio.get<Mix>(`/mixes/${mixId}`);
  const of = (ending: string) => screen.sliders.filter(([label]) => label.includes(ending)).map(([, value]) => value);
  const wrong: string[] = [];
  const compare = (what: string, seen: number[], kept: number[]) => {
    if (seen.length !== kept.length || seen.some((v, k) => Math.abs(v - kept[k]) > 1e-6))
      wrong.push(`${what}: ${seen.join(' ')} on the screen, ${kept.join(' ')} on the server`);
  };
  compare(
    'weights',
    of(': weight'),
    influences.map((i) => i.weight),
  );
  compare(
    'starts',
    of('start of its span'),
    influences.map((i) => i.from),
  );
  compare(
    'ends',
    of('end of its span'),
    influences.map((i) => i.to),
  );
  if (screen.words && !screen.words.includes(prompt))
    wrong.push(`words: ${screen.words} on the screen, ${prompt} on the server`);
  return wrong;
}

/** A page on a machine that is six times slower: keys at key-repeat speed, drags, typing, undo, and a second window. */
export async function page(times: number): Promise<void> {
  const dataDir = await mkdtemp(path.join(os.tmpdir(), 'urbild-soak-'));
  const studio = await RunningStudio.start({ dataDir });
  const references = await Promise.all([1, 2, 3].map((seed) => bringIn(studio, seed, `cloth ${seed}`)));
  const influences = references.map((referenceId, k) => ({
    id: `i${k}`,
    referenceId,
    gives: 'look',
    weight: 1,
    from: 0.2,
    to: 0.8,
    reading: 'normal',
    on: true,
  }));
  const answer = await fetch(`${studio.url}/api/v1/mixes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Keys', prompt: 'Ilse in the harbour', influences }),
  });
  const { id: mixId } = (await answer.json()) as { id: string };
  const [one, two] = [await Browser.open(), await Browser.open()];
  for (const browser of [one, two]) {
    await browser.driver.get(`${studio.url}/bench/${mixId}`);
    await browser.until('the lanes', async () => (await sliders(browser)).length >= 3 * LANES);
    await throttle(browser, SLOWER);
  }
  const problems: string[] = [];
  const check = async (browser: Browser, after: string) => {
    await allSaved(browser);
    for (const fault of await differs(browser, studio, mixId)) problems.push(`${after}: ${fault}`);
  };
  await keys(one, times);
  await check(one, 'after the keys');
  const counted = await countKeys(one, studio, mixId);
  await wander(one);
  await check(one, 'after drags, typing and undo');
  // two windows change different lanes at the same time
  await Promise.all([press(one, 0, Key.ARROW_DOWN, 25), press(two, 1, Key.ARROW_DOWN, 25)]);
  for (const browser of [one, two]) await allSaved(browser);
  await new Promise((resolve) => setTimeout(resolve, 4000));
  for (const browser of [one, two]) await check(browser, 'after two windows');
  // a reload in the middle of edits
  await press(one, 2, Key.ARROW_UP, 5);
  const before = await one.driver.executeScript<{ sliders: [string, number][] }>(SCREEN);
  await one.driver.navigate().refresh();
  await one.until('the lanes', async () => (await sliders(one)).length >= 3 * LANES);
  await check(one, 'after a reload');
  const again = await one.driver.executeScript<{ sliders: [string, number][] }>(SCREEN);
  const kept = JSON.stringify(before.sliders) === JSON.stringify(again.sliders);
  const undoable = await one.driver.executeScript<boolean>(
    `return !document.querySelector('[aria-label="Undo"]').disabled`,
  );
  for (const p of problems.slice(0, 8)) tell(p);
  const asked = await Promise.all([one, two].map((b) => b.all('section[aria-label="Changed twice"]')));
  hold('keys that were lost', counted, '0', counted === 0);
  hold('differences between screen and server', problems.length, '0', problems.length === 0);
  hold('questions, where nobody changed the same field', asked.flat().length, '0', asked.flat().length === 0);
  hold('a reload keeps what was edited', kept ? 'yes' : 'no', 'yes', kept);
  hold('a reload keeps the steps of undo', undoable ? 'yes' : 'no', 'yes', undoable);
  for (const browser of [one, two]) await browser.close();
  await studio.stop();
  await rm(dataDir, { recursive: true, force: true });
}

async function press(browser: Browser, lane: number, key: string, times: number): Promise<void> {
  const handle = (await browser.all('[role=slider][aria-label*=": weight"]'))[lane];
  await handle.sendKeys(...Array.from({ length: times }, () => Key.chord(Key.SHIFT, key)));
}

/** Arrow keys over six sliders in turn, as fast as the browser takes them. */
async function keys(browser: Browser, times: number): Promise<void> {
  const all = await sliders(browser);
  const six = all.slice(0, 6);
  for (let k = 0; k < times / 10; k++)
    await six[k % 6].sendKeys(...Array.from({ length: 10 }, () => (k % 4 < 2 ? Key.ARROW_DOWN : Key.ARROW_UP)));
}

/** Presses a known number of keys on one slider and looks whether each of them counts. */
async function countKeys(browser: Browser, studio: RunningStudio, mixId: string): Promise<number> {
  const weight = async () => (await studio.get<Mix>(`/mixes/${mixId}`)).influences[1].weight;
  const handle = (await browser.all('[role=slider][aria-label*=": weight"]'))[1];
  await handle.sendKeys(Key.HOME);
  await handle.sendKeys(...Array.from({ length: 30 }, () => Key.chord(Key.SHIFT, Key.ARROW_UP)));
  await allSaved(browser);
  const step = 0.01;
  return Math.round(Math.abs(30 * step - (await weight())) / step);
}

/** Drags, typing, undo and redo in an order that chance gives. */
async function wander(browser: Browser): Promise<void> {
  const random = chance(5);
  for (let k = 0; k < 24; k++) {
    const all = await sliders(browser);
    const what = random();
    if (what < 0.35)
      await browser.driver
        .actions({ async: true })
        .move({ origin: all[Math.floor(random() * all.length)] })
        .press()
        .move({
          origin: Origin.POINTER,
          x: Math.round(30 * random() - 15),
          y: Math.round(16 * random() - 8),
          duration: 120,
        })
        .release()
        .perform();
    else if (what < 0.6) {
      const [shown] = await browser.all('button[aria-label^="The words:"]');
      if (shown) await shown.click();
      const words = await browser.find('input[aria-label="The words"]');
      await words.sendKeys(` gull${k}`, Key.ENTER);
    } else {
      await all[0].sendKeys(Key.chord(Key.CONTROL, random() < 0.6 ? 'z' : 'Z'));
    }
  }
}
