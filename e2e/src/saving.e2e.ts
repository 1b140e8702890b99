import { Key } from 'selenium-webdriver';
import { Browser } from './browser';
import { bringIn } from './page';
import { RunningStudio } from './studio';

interface Mix {
  readonly id: string;
  readonly prompt: string;
  readonly name: string;
  readonly influences: readonly { readonly id: string; readonly weight: number }[];
}

let studio: RunningStudio;
let browser: Browser;
let references: string[];
let mixId: string;
beforeAll(async () => {
  studio = await RunningStudio.start();
  references = await Promise.all([1, 2].map((seed) => bringIn(studio, seed, `cloth ${seed}`)));
  mixId = (await post<Mix>('/mixes', { name: 'Saved', prompt: 'Ilse in the harbour', influences: lanes() })).id;
  browser = await Browser.open();
});
afterAll(async () => {
  await browser.close();
  await studio.remove();
});

const lanes = () =>
  references.map((referenceId, k) => ({
    id: `i${k}`,
    referenceId,
    gives: 'look',
    weight: 1,
    from: 0,
    to: 1,
    reading: 'normal',
    on: true,
  }));
async function post<T>(address: string, body: unknown): Promise<T> {
  const answer = await fetch(`${studio.url}/api/v1${address}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return (await answer.json()) as T;
}
const mix = () => studio.get<Mix>(`/mixes/${mixId}`);
const go = (address: string, b = browser) => b.driver.get(studio.url + address);
const saved = (b = browser) =>
  b.until('everything to be saved', () => b.driver.executeScript<boolean>('return window.urbildSaved'), 40);
const weight = async (lane: number, b = browser) =>
  b.until('the lane', async () => (await b.all('[role=slider][aria-label*=": weight"]'))[lane]);
const bench = async (b = browser) => {
  await go(`/bench/${mixId}?drafts=off`, b);
  await weight(1, b);
};
const many = (key: string, times: number) => Array.from({ length: times }, () => key);

test('a slider of a sheet loses no key and keeps the focus', async () => {
  const look = await post<{ id: string }>('/looks', {
    name: 'Two cloths',
    items: references.map((referenceId) => ({ referenceId, weight: 0.5 })),
  });
  await go(`/looks/${look.id}`);
  const slider = await browser.find('[role=slider][aria-label="Weight of cloth 1"]');
  await slider.sendKeys(...many(Key.ARROW_RIGHT, 20));
  const other = await browser.find('[role=slider][aria-label="Weight of cloth 2"]');
  await other.sendKeys(...many(Key.ARROW_LEFT, 6));
  await saved();
  const [stored] = await studio.get<{ items: { referenceId: string; weight: number }[] }[]>('/looks');
  expect(stored.items.map((i) => i.weight)).toEqual([1.5, 0.2]);
  const focused = await browser.driver.switchTo().activeElement();
  expect(await focused.getAttribute('aria-label')).toBe('Weight of cloth 2');
});

test('sharpening by quick keys arrives as it stands on the screen, and is undone step by step', async () => {
  await go(`/library?ref=${references[0]}`);
  const picture = await browser.find('[role=listbox] [role=option], main img');
  await picture.click();
  await (await browser.button('Focus')).click();
  const slider = await browser.find('[role=slider][aria-label="Sharpen"]');
  await slider.sendKeys(...many(Key.ARROW_RIGHT, 8));
  await saved();
  const sharpened = async () => {
    const all = await Promise.all(
      references.map((id) => studio.get<{ preparation: { sharpen: number } }>(`/references/${id}`)),
    );
    return Math.max(...all.map((r) => r.preparation.sharpen));
  };
  await browser.until('the sharpening', async () => Math.abs((await sharpened()) - 0.4) < 1e-9);
});

test('while the studio does not answer, edits are kept and told of; they arrive when it is back', async () => {
  await bench();
  await studio.stop('SIGKILL');
  await (await weight(0)).sendKeys(...many(Key.ARROW_DOWN, 4));
  const alert = await browser.until('a word about it', async () => (await browser.all('[role=alert] p'))[0]);
  expect(await alert.getText()).toMatch(/Not saved yet.*Your changes are kept in this browser/s);
  studio = await studio.again();
  await saved();
  expect((await mix()).influences[0].weight).toBeCloseTo(0.8, 5);
  await browser.until('the word to go', async () => !(await browser.all('[role=alert] p')).length);
});

test('a page that is closed while nothing answers loses nothing: the next one sends it', async () => {
  await bench();
  const window = await browser.driver.getWindowHandle();
  await browser.driver.switchTo().newWindow('tab');
  await bench();
  await studio.stop('SIGKILL');
  await (await weight(1)).sendKeys(...many(Key.ARROW_DOWN, 3));
  await browser.until('a word about it', async () => (await browser.all('[role=alert] p'))[0]);
  await browser.driver.close();
  await browser.driver.switchTo().window(window);
  studio = await studio.again();
  await go('/looks');
  await browser.until('what was edited', async () => Math.abs((await mix()).influences[1].weight - 0.85) < 1e-6, 30);
});

test('so does a change of several pictures', async () => {
  const window = await browser.driver.getWindowHandle();
  await browser.driver.switchTo().newWindow('tab');
  await go(`/library?${references.map((id) => `sel=${id}`).join('&')}`);
  await browser.until('both to be chosen', async () => {
    const told = await Promise.all(
      (await browser.all('section[aria-label="Pictures"] [role=status]')).map((p) => p.getText()),
    );
    return told.some((text) => text.includes('2 chosen'));
  });
  await studio.stop('SIGKILL');
  await (await browser.find('[role=listbox] [role=option]')).sendKeys('3');
  await browser.driver.sleep(1000);
  await browser.driver.close();
  await browser.driver.switchTo().window(window);
  studio = await studio.again();
  await go('/looks');
  const ratings = () =>
    Promise.all(references.map(async (id) => (await studio.get<{ rating: number }>(`/references/${id}`)).rating));
  await browser.until('the rating of both', async () => (await ratings()).every((r) => r === 3), 30);
});

test('undo goes on after a reload', async () => {
  await bench();
  const before = (await mix()).influences[0].weight;
  await (await weight(0)).sendKeys(Key.ARROW_UP);
  await (await weight(0)).sendKeys(Key.ARROW_UP);
  await saved();
  await browser.driver.navigate().refresh();
  await weight(1);
  for (let k = 0; k < 2; k++) {
    const undo = await browser.until('undo', async () => (await browser.all('[aria-label="Undo"]:enabled'))[0]);
    await undo.click();
  }
  await saved();
  expect((await mix()).influences[0].weight).toBeCloseTo(before, 5);
});

test('two windows: different lanes both stay; the same weight is asked about, and the answer is what is saved', async () => {
  const second = await Browser.open();
  try {
    await bench();
    await bench(second);
    const { influences } = await mix();
    await Promise.all([
      (await weight(0)).sendKeys(...many(Key.ARROW_UP, 2)),
      (await weight(1, second)).sendKeys(...many(Key.ARROW_UP, 2)),
    ]);
    await saved();
    await saved(second);
    expect((await mix()).influences.map((i) => i.weight)).toEqual(
      influences.map((i) => Math.round((i.weight + 0.1) * 100) / 100),
    );
    // the second window does not hear of what the first one does, and changes the same
    await second.offline(true);
    await (await weight(0, second)).sendKeys(Key.HOME);
    await (await weight(0)).sendKeys(Key.END);
    await saved();
    await second.offline(false);
    const question = await second.until(
      'the question',
      async () => (await second.all('[aria-label="Changed twice"]'))[0],
      30,
    );
    expect(await question.getText()).toMatch(/weight of cloth 1 was changed in another window too: 2 there, 0 here/);
    await (await second.button('Take theirs')).click();
    await saved(second);
    expect((await mix()).influences[0].weight).toBe(2);
    await second.until(
      'the weight on the screen',
      async () => (await (await weight(0, second)).getAttribute('aria-valuenow')) === '2',
    );
  } finally {
    await second.close();
  }
});

test('words are saved while they are typed, and Escape brings back what they were', async () => {
  await bench();
  const words = async () => {
    await (await browser.find('button[aria-label^="The prompt:"]')).click();
    return browser.find('input[aria-label="The prompt"]');
  };
  await (await words()).sendKeys(' with gulls');
  await saved();
  expect((await mix()).prompt).toBe('Ilse in the harbour with gulls');
  await (await browser.find('input[aria-label="The prompt"]')).sendKeys(Key.ENTER);
  await (await words()).sendKeys(' and crabs', Key.ESCAPE);
  await saved();
  expect((await mix()).prompt).toBe('Ilse in the harbour with gulls');
});

test('the table keeps the last picture until the next one is there', async () => {
  await go(`/bench/${mixId}`);
  await (await weight(0)).sendKeys(Key.HOME, Key.ARROW_UP);
  await browser.find('[data-testid="take-picture"]', 40);
  await studio.idle();
  await browser.driver.executeScript(`
    window.grey = 0;
    const look = () => {
      const picture = document.querySelector('[data-testid="take-picture"]');
      if (!picture || !picture.getAttribute('src')) window.grey++;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  `);
  for (let k = 0; k < 4; k++) {
    await (await weight(0)).sendKeys(Key.ARROW_UP);
    await new Promise((resolve) => setTimeout(resolve, 700));
  }
  await studio.idle();
  expect(await browser.driver.executeScript<number>('return window.grey')).toBe(0);
});
