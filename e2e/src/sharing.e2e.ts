import path from 'path';
import { Key } from 'selenium-webdriver';
import { Browser } from './browser';
import { faultsOfAccess } from './page';
import { shotsFolder } from './shots';
import { RunningStudio } from './studio';

const PASSWORD = 'a sentence for petra';

let studio: RunningStudio;
let petra: Browser;
let juna: Browser;
beforeAll(async () => {
  studio = await RunningStudio.start();
  petra = await Browser.open();
  juna = await Browser.open();
});
afterAll(async () => {
  await petra.close();
  await juna.close();
  await studio.remove();
});

const pageOf = ({ driver }: Browser) => driver.executeScript<string>('return document.body.innerText');
const shows = (browser: Browser, text: string) =>
  browser.until(text, async () => (await pageOf(browser)).includes(text));
/** Types into the fields of a form, one after the other, by keyboard alone, and sends it. */
const fill = async (browser: Browser, ...texts: string[]) => {
  const first = await browser.find('form input:not([type=radio])');
  await first.click();
  const keys = texts.flatMap((text, k) => (k ? [Key.TAB, text] : [text]));
  await browser.driver
    .actions()
    .sendKeys(...keys, Key.ENTER)
    .perform();
};

test('whoever works alone makes themselves the owner, and nothing else changes', async () => {
  await petra.driver.get(`${studio.url}/studio`);
  await shows(petra, 'You work alone');
  expect(await faultsOfAccess(petra)).toEqual([]);
  await fill(petra, 'Petra Wild', 'petra', PASSWORD);
  await shows(petra, './start --share');
  await shows(petra, 'Petra Wild');
  await juna.driver.get(`${studio.url}/looks`);
  await juna.until('the looks', async () => (await juna.driver.getTitle()).startsWith('Looks'));
});

test('in a shared studio one signs in where one was going', async () => {
  await studio.stop();
  studio = await RunningStudio.start({
    dataDir: studio.dataDir,
    port: Number(new URL(studio.url).port),
    share: true,
  });
  await petra.driver.get(`${studio.url}/cast`);
  await petra.find('form');
  expect(await faultsOfAccess(petra)).toEqual([]);
  await fill(petra, 'petra', 'not the password');
  await shows(petra, 'do not belong together');
  await petra.driver.navigate().refresh();
  await petra.find('form');
  await fill(petra, 'petra', PASSWORD);
  await petra.find('button[aria-label="You: Petra Wild"]');
  expect(await petra.driver.getCurrentUrl()).toBe(`${studio.url}/cast`);
});

test('a link lets somebody in with its role; a role that is changed is told at once', async () => {
  await petra.driver.get(`${studio.url}/studio`);
  await (await petra.find('fieldset label:last-child input[type=radio]')).click();
  await (await petra.find('input[aria-label="Whom it is meant for"]')).sendKeys('Juna', Key.ENTER);
  const link = await (await petra.find('input[aria-label="The link"]')).getProperty('value');
  expect(await faultsOfAccess(petra)).toEqual([]);
  await juna.driver.get(String(link));
  await shows(juna, 'Your role: viewer');
  expect(await faultsOfAccess(juna)).toEqual([]);
  await fill(juna, 'Juna Berg', 'juna', 'a sentence for juna');
  await juna.find('button[aria-label="You: Juna Berg"]');
  await juna.driver.get(`${studio.url}/studio`);
  await shows(juna, 'changes nothing');
  expect(await juna.all('select')).toEqual([]);
  expect(await faultsOfAccess(juna)).toEqual([]);
  const role = await petra.find('select[aria-label="Role of Juna Berg"]');
  await role.sendKeys('Ed');
  await shows(juna, 'Editor');
  await petra.screenshot(path.join(await shotsFolder(), 'studio.png'));
});

test('a project that is closed to others is gone from their page at once, and comes back for a member', async () => {
  const sees = async () => (await pageOf(juna)).includes('My first project');
  await juna.until('the project', sees);
  await (await petra.find('button[aria-label="Who works in it: My first project"]')).click();
  expect(await faultsOfAccess(petra)).toEqual([]);
  await (await petra.find('fieldset label:last-child input[name^="open-"]')).click();
  await juna.until('it is gone', async () => !(await sees()));
  const role = await petra.find('select[aria-label="Juna Berg in My first project"]');
  await role.sendKeys('Ed');
  await juna.until('it is back', sees);
  expect(await pageOf(juna)).toContain('Only its members and owners know of it.');
  await (await petra.find('fieldset label:nth-of-type(1) input[name^="open-"]')).click();
  await shows(juna, 'Everybody in the studio works in it.');
});

test('whoever is removed is asked above the page, which stays', async () => {
  await juna.driver.get(`${studio.url}/looks`);
  await juna.until('the looks', async () => (await juna.driver.getTitle()).startsWith('Looks'));
  await petra.driver.executeScript(
    `[...document.querySelectorAll('li')].find((li) => li.textContent.includes('Juna Berg')).querySelectorAll('button')[1].click()`,
  );
  await petra.driver.executeScript(
    `[...document.querySelectorAll('button')].find((b) => b.textContent === 'Remove Juna Berg').click()`,
  );
  await petra.until('nobody else', async () => !(await pageOf(petra)).includes('Juna Berg'));
  await juna.find('[role=dialog] input[type=password]');
  expect(await juna.driver.getTitle()).toMatch(/^Looks/);
  expect(await faultsOfAccess(juna)).toEqual([]);
});
