import { Browser } from './src/browser';
import { writeFileSync } from 'fs';
import { By } from 'selenium-webdriver';
const base = process.argv[2];
(async () => {
  const b = await Browser.open(Number(process.env.W ?? 1280), Number(process.env.H ?? 800));
  try {
    for (const arg of process.argv.slice(3)) {
      const [kind, ...rest] = arg.split('|');
      const v = rest.join('|');
      if (kind === 'go') { await b.driver.get(base + v); await new Promise((r) => setTimeout(r, 1500)); }
      else if (kind === 'click') { const el = await b.find(v); await el.click(); await new Promise((r) => setTimeout(r, 600)); }
      else if (kind === 'text') { const el = await b.driver.findElement(By.xpath(`//*[(self::button or self::a or self::label) and contains(normalize-space(.), "${v}")]`)); await el.click(); await new Promise((r) => setTimeout(r, 700)); }
      else if (kind === 'wait') await new Promise((r) => setTimeout(r, Number(v)));
      else if (kind === 'keys') { await (b.driver.actions().sendKeys(v)).perform(); await new Promise((r) => setTimeout(r, 500)); }
      else if (kind === 'js') console.log(await b.driver.executeScript(v));
      else if (kind === 'shot') writeFileSync(v, await b.driver.takeScreenshot(), 'base64');
    }
  } catch (e) { console.log(String(e)); writeFileSync('/tmp/err.png', await b.driver.takeScreenshot(), 'base64'); }
  await b.close();
})();
