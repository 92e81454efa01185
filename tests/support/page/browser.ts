import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  Builder,
  By,
  error,
  Key,
  logging,
  until,
  type Condition,
  type WebDriver,
  type WebElement,
} from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome';

/** How long a list takes to open, ms, and how often it is opened. */
const OPENS = 2500;
const OPENINGS = 4;
const WAIT = 25_000;
/** How often something waited for is looked at, ms. */
const LOOK = 40;

/** The built application on a port of its own, at once or again on one that it had. */
export async function serve(
  options: string[] = [],
  port?: number,
): Promise<{ address: string; port: number; stop: () => void }> {
  port ??= await freePort();
  const server: ChildProcess = spawn(process.execPath, ['scripts/serve.mjs', `--port=${port}`, ...options], {
    stdio: 'ignore',
  });
  const address = `http://localhost:${port}`;
  const until = Date.now() + 30_000;
  while (
    !(await fetch(address).then(
      (r) => r.ok,
      () => false,
    ))
  ) {
    if (Date.now() > until) throw new Error('the server did not start');
    await new Promise((rest) => setTimeout(rest, 150));
  }
  return { address, port, stop: () => server.kill() };
}

function freePort(): Promise<number> {
  return new Promise((tell) => {
    const probe = createServer();
    probe.listen(0, () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => tell(port));
    });
  });
}

/** A builder at the bench: real clicks, drags and keys in Debian's Chromium. */
/** Whether what is reached for is where it was a frame ago: what is answered above it pushes it down. */
const STANDS_STILL = `
  const [element, done] = arguments;
  const place = () => { const { x, y } = element.getBoundingClientRect(); return x + ' ' + y; };
  const before = place();
  requestAnimationFrame(() => requestAnimationFrame(() => done(place() === before)));`;

export class Hands {
  private constructor(
    readonly driver: WebDriver,
    readonly downloads: string,
    private readonly profile: string,
  ) {}

  /** `profile` is where the browser keeps what it stores: its own and new, or one that an earlier one left. */
  static async open(
    address: string,
    width = 1280,
    height = 800,
    profile = mkdtempSync(join(tmpdir(), 'pellik-chromium-')),
  ): Promise<Hands> {
    const downloads = mkdtempSync(join(tmpdir(), 'pellik-downloads-'));
    const options = new chrome.Options();
    options.setChromeBinaryPath('/usr/bin/chromium');
    options.addArguments(
      '--headless=new',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      `--window-size=${width},${height}`,
      `--user-data-dir=${profile}`,
    );
    options.setUserPreferences({
      'download.default_directory': downloads,
      'download.prompt_for_download': false,
    });
    const logs = new logging.Preferences();
    logs.setLevel(logging.Type.BROWSER, logging.Level.SEVERE);
    options.setLoggingPrefs(logs);
    const driver = (await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
      .build()) as chrome.Driver;
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    });
    await driver.get(address);
    const hands = new Hands(driver, downloads, profile);
    await hands.find('.bench-card h1');
    return hands;
  }

  /** Picks one of the parts that a card is divided into, by the beginning of its word. */
  async part(name: string): Promise<void> {
    const label = `//label[.//*[starts-with(normalize-space(), "${name}")]]`;
    // A card that is still that of the job before is drawn anew, on its first part.
    await this.until(async () => {
      await this.clickOn(label);
      await this.isOpen();
      const [radio] = await this.driver.findElements(By.xpath(`${label}//input`));
      return !radio || this.isChosen(radio);
    });
  }

  /** Whether a radio is chosen; one that is no longer drawn is not. */
  private isChosen = (radio: WebElement): Promise<boolean> =>
    radio.isSelected().catch((problem: Error) => {
      if (problem instanceof error.StaleElementReferenceError) return false;
      throw problem;
    });

  /** Until what is fetched when it is first shown is there. */
  private isOpen = (): Promise<unknown> =>
    this.until(async () => (await this.count('.bench-card [data-loading]')) === 0);

  find = (css: string): Promise<WebElement> => this.wait(until.elementLocated(By.css(css)));
  at = (xpath: string): Promise<WebElement> => this.wait(until.elementLocated(By.xpath(xpath)));
  count = async (css: string): Promise<number> => (await this.driver.findElements(By.css(css))).length;
  field = (id: string): Promise<WebElement> => this.find(`[id="field-${id}"]`);
  text = async (css: string): Promise<string> => (await this.find(css)).getText();
  readout = (id: string): Promise<string> => this.text(`[data-readout=${id}] .unseen, [data-readout=${id}]`);

  button = (name: string): Promise<WebElement> => this.at(called(name));
  press = (name: string): Promise<void> => this.clickOn(called(name));

  private wait = <T>(condition: ((driver: WebDriver) => T | Promise<T>) | Condition<T>): Promise<T> =>
    this.driver.wait(condition, WAIT, undefined, LOOK) as Promise<T>;

  /** Clicks what stands at a path, and the one drawn in its place if it is drawn anew in between. */
  async clickOn(xpath: string): Promise<void> {
    await this.wait(async () => {
      try {
        await this.click(await this.at(xpath));
        return true;
      } catch (problem) {
        if (problem instanceof error.StaleElementReferenceError) return false;
        throw problem;
      }
    });
  }

  async click(element: WebElement): Promise<void> {
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', element);
    await this.wait(until.elementIsVisible(element));
    await this.wait(() => this.driver.executeAsyncScript<boolean>(STANDS_STILL, element));
    await element.click();
  }

  /** From now on a page is touched with fingers, as on a tablet. */
  async byFinger(): Promise<void> {
    const driver = this.driver as chrome.Driver;
    await driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', {
      enabled: true,
      maxTouchPoints: 5,
    });
    await this.until(() => driver.executeScript<boolean>('return matchMedia("(pointer: coarse)").matches'));
  }

  async station(n: number, title: string): Promise<void> {
    await this.keys(String(n));
    await this.until(async () => (await this.text('.bench-card h1')).includes(title));
  }

  /** What the page has complained about since this was last asked. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get('browser');
    return entries.filter((e) => e.level.name === 'SEVERE').map((e) => e.message);
  }

  /** All that the page says to a reader, for words that no builder should ever see. */
  async unfit(): Promise<string[]> {
    const text = await this.driver.executeScript<string>('return document.body.innerText');
    return text.match(/.{0,40}(?:\bNaN\b|undefined|Infinity|\[object|null\b).{0,20}/g) ?? [];
  }

  /** To a station of a demo job, and until it is that job which stands there. */
  async go(job: string, station: string): Promise<void> {
    await this.driver.executeScript('location.hash = arguments[0]', `/demo-${job}/${station}`);
    await this.reads('.masthead-job', new RegExp(job, 'i'));
    await this.find(`[data-station=${station}][aria-current]`);
    await this.isOpen();
  }

  /** Keys to whatever has the focus; out of any field first. */
  async keys(...keys: string[]): Promise<void> {
    await this.driver.executeScript('document.activeElement?.blur?.()');
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  async type(id: string, text: string, end: string = Key.ENTER): Promise<void> {
    const input = await this.field(id);
    await this.click(input);
    await input.sendKeys(Key.chord(Key.CONTROL, 'a'), text, end);
  }

  value = async (id: string): Promise<string> => (await (await this.field(id)).getAttribute('value')) ?? '';

  /** Picks from a list by its label; the first choice that begins so. A list that closed again, as what it stands in was drawn anew, is opened again. */
  async choose(label: string, option: string): Promise<void> {
    const choice = `//*[contains(@class, "ant-select-item-option-content")][starts-with(normalize-space(), "${option}")][not(ancestor::*[contains(@class, "ant-select-dropdown-hidden")])]`;
    const isOffered = async () => (await this.driver.findElements(By.xpath(choice))).length > 0;
    const isOpen = async () =>
      (await this.driver.findElements(By.xpath(`//*[@aria-label="${label}"][@aria-expanded="true"]`)))
        .length > 0;
    for (let tries = 0; tries < OPENINGS; tries++) {
      // One that is only slow to open would be closed by a second click.
      if (!(await isOpen()))
        await this.clickOn(`//*[@aria-label="${label}"]/ancestor::*[contains(@class, "ant-select")][1]`);
      await this.driver.wait(isOffered, OPENS).catch(() => false);
      const [offered] = await this.driver.findElements(By.xpath(choice));
      const picked =
        offered &&
        (await this.click(offered).then(
          () => true,
          () => false,
        ));
      if (picked) return;
    }
    await this.clickOn(choice);
  }

  async drag(css: string, dx: number, dy: number): Promise<void> {
    const handle = await this.find(css);
    const actions = this.driver.actions().move({ origin: handle }).press();
    for (let i = 1; i <= 8; i++)
      actions.move({
        origin: 'pointer' as never,
        x: Math.round((dx * i) / 8) - Math.round((dx * (i - 1)) / 8),
        y: Math.round((dy * i) / 8) - Math.round((dy * (i - 1)) / 8),
        duration: 16,
      });
    await actions.release().perform();
  }

  async undo(): Promise<void> {
    await this.driver.executeScript('document.activeElement?.blur?.()');
    await this.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  }

  async reload(): Promise<void> {
    await this.driver.navigate().refresh();
    await this.find('.bench-card h1');
  }

  async saved(): Promise<void> {
    await this.until(async () => (await this.text('.masthead-save')) === 'all saved');
  }

  /** Waits until something is so. */
  async until(condition: () => Promise<boolean>): Promise<void> {
    await this.wait(() => condition().catch(() => false));
  }

  /** Waits until words are read at a place; what stands there instead is told. */
  reads = (css: string, words: string | RegExp): Promise<void> =>
    this.agrees(css, () => this.text(css), words);

  /** Waits until a field holds just this. */
  holds = (id: string, value: string): Promise<void> =>
    this.agrees(`field ${id}`, async () => [await this.value(id)], value);

  private async agrees(
    place: string,
    look: () => Promise<string | string[]>,
    wanted: string | RegExp,
  ): Promise<void> {
    let seen: string | string[] = '';
    const agrees = async () => {
      seen = await look();
      return typeof wanted === 'string' ? seen.includes(wanted) : wanted.test(String(seen));
    };
    await this.until(agrees).catch((problem: Error) => {
      throw new Error(`${place}: wanted ${wanted}, found ${seen}`, { cause: problem });
    });
  }

  /** Closes the dialog that is open; a notice has a button of the same name. */
  async closeDialog(): Promise<void> {
    await this.clickOn('//*[@role="dialog"]//button[@aria-label="Close"]');
    await this.dialogGone();
  }

  dialogGone = (): Promise<void> =>
    this.until(() =>
      this.driver.executeScript<boolean>(
        'return ![...document.querySelectorAll("[role=dialog]")].some((d) => d.checkVisibility())',
      ),
    );

  /** A file that was kept, once it is whole: the browser holds its place with an empty one while it writes. */
  async downloaded(name: string): Promise<string> {
    const file = join(this.downloads, name);
    await this.until(
      async () =>
        !readdirSync(this.downloads).some((n) => n.endsWith('.crdownload')) && statSync(file).size > 0,
    );
    return file;
  }

  close = (): Promise<void> => this.driver.quit();

  /** Kills the browser, every process of it, as a pulled plug would. @returns where it kept what it stored */
  async kill(): Promise<string> {
    spawnSync('pkill', ['-KILL', '-f', this.profile]);
    await this.driver.quit().catch(() => {});
    for (const lock of ['SingletonLock', 'SingletonCookie', 'SingletonSocket'])
      rmSync(join(this.profile, lock), { force: true });
    return this.profile;
  }
}

const called = (name: string): string =>
  `//button[normalize-space()=${JSON.stringify(name)} or @aria-label=${JSON.stringify(name)}]`;
