import { readFileSync } from 'fs';
import { Origin, type WebElement } from 'selenium-webdriver';
import sharp from 'sharp';
import type { Browser } from './browser';
import type { RunningStudio } from './studio';

const axe = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds wrong with the page by WCAG 2.2 AA. */
export async function faultsOfAccess(browser: Browser): Promise<{ id: string; nodes: { html: string }[] }[]> {
  await browser.driver.executeScript(axe);
  return browser.driver.executeAsyncScript(
    'const done = arguments[arguments.length - 1]; axe.run(document, { runOnly: ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"] }).then((r) => done(r.violations.map((v) => ({ id: v.id, nodes: v.nodes.map((n) => ({ html: n.html.slice(0, 160) })) }))))',
  );
}

/** How many px the page is wider than its window. */
export async function tooWide(browser: Browser): Promise<number> {
  const [content, frame] = await browser.driver.executeScript<[number, number]>(
    'return [document.documentElement.scrollWidth, window.innerWidth]',
  );
  return Math.max(0, content - frame);
}

/** Drags with the pointer in small steps, as a hand does. */
export async function drag(browser: Browser, from: WebElement, to: WebElement): Promise<void> {
  await browser.driver
    .actions({ async: true })
    .move({ origin: from })
    .press()
    .move({ origin: from, x: 12, y: 12 })
    .move({ origin: to, x: 0, y: 0, duration: 400 })
    .move({ origin: Origin.POINTER, x: 4, y: 4 })
    .release()
    .perform();
}

/** A picture that nobody here drew: bands of colour under grain; another `seed`, another picture. */
export async function strangePng(seed: number, w = 360, h = 260): Promise<Buffer> {
  const data = Buffer.alloc(w * h * 3);
  for (let y = 0, i = 0; y < h; y++)
    for (let x = 0; x < w; x++)
      for (let c = 0; c < 3; c++, i++)
        data[i] =
          128 +
          80 * Math.sin((x + 12 * Math.sin(y / (7 + seed))) / (4 + 2 * seed) + c * seed) * Math.cos(y / (19 + 5 * c)) +
          ((x * 31 + y * 17 + seed * 7) % 19) +
          (c === seed % 3 ? 25 : -10);
  return sharp(data, { raw: { width: w, height: h, channels: 3 } })
    .png()
    .toBuffer();
}

/** Brings a strange picture into a studio as a style; answers its id. */
export async function bringIn(studio: RunningStudio, seed: number, title: string): Promise<string> {
  const form = new FormData();
  form.append('file', new Blob([new Uint8Array(await strangePng(seed))]), `${title}.png`);
  form.append('kind', 'style');
  const answer = await fetch(`${studio.url}/api/v1/references`, { method: 'POST', body: form });
  return ((await answer.json()) as { reference: { id: string } }).reference.id;
}

/** Pixels of a picture of the studio. */
export async function pixelsOf(
  studio: RunningStudio,
  address: string,
): Promise<{ data: Buffer; width: number; height: number; channels: number }> {
  const bytes = Buffer.from(await (await fetch(studio.url + address)).arrayBuffer());
  const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height, channels: info.channels };
}
