import { mkdtemp, rm, writeFile } from 'fs/promises';
import os from 'os';
import path from 'path';
import { Builder, By, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome';

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-quic',
  '--disable-dev-shm-usage',
  '--force-color-profile=srgb',
  '--hide-scrollbars',
];

/** A headless Chromium with a profile of its own; sizes are those of the page, not of the window. */
export class Browser {
  private constructor(
    readonly driver: WebDriver,
    private readonly profile: string,
  ) {}

  static async open(width = 1280, height = 800): Promise<Browser> {
    const profile = await mkdtemp(path.join(os.tmpdir(), 'urbild-chromium-'));
    const options = new Options();
    options.setChromeBinaryPath(process.env.CHROMIUM ?? '/usr/bin/chromium');
    options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
      .build();
    const browser = new Browser(driver, profile);
    await browser.resize(width, height);
    return browser;
  }

  /** Cuts the line of this browser, or mends it. */
  async offline(is: boolean): Promise<void> {
    await (this.driver as Driver).setNetworkConditions({
      offline: is,
      latency: 0,
      download_throughput: -1,
      upload_throughput: -1,
    });
  }

  async resize(width: number, height: number): Promise<void> {
    await (this.driver as Driver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    });
  }

  /** The first element for a CSS selector, waited for. */
  async find(css: string, seconds = 15): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.css(css)), seconds * 1000, `no ${css} on the page`);
  }

  all(css: string): Promise<WebElement[]> {
    return this.driver.findElements(By.css(css));
  }

  /** Waits until `condition` gives something true; says `what` was missing otherwise. */
  async until<T>(what: string, condition: () => Promise<T>, seconds = 30): Promise<T> {
    return this.driver.wait(
      async () => {
        try {
          return await condition();
        } catch {
          return undefined as T;
        }
      },
      seconds * 1000,
      `waited in vain for: ${what}`,
    );
  }

  /** A button whose visible text or whose label is exactly `text`: a part of it could be found in others, too. */
  button(text: string): Promise<WebElement> {
    const literal = JSON.stringify(text);
    return this.buttonThat(`normalize-space(.)=${literal} or @aria-label=${literal}`, text);
  }

  /** A button whose visible text or label begins with `text`, where what follows is a name or a number. */
  buttonFrom(text: string): Promise<WebElement> {
    const literal = JSON.stringify(text);
    return this.buttonThat(`starts-with(normalize-space(.), ${literal}) or starts-with(@aria-label, ${literal})`, text);
  }

  private async buttonThat(condition: string, text: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.xpath(`//button[${condition}]`)), 15_000, `no button ${text}`);
  }

  async screenshot(file: string): Promise<void> {
    await writeFile(file, await this.driver.takeScreenshot(), 'base64');
  }

  async close(): Promise<void> {
    await this.driver.quit();
    await rm(this.profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
  }
}
