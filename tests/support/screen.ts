import { after, before } from 'node:test';
import type { WebDriver } from 'selenium-webdriver';
import { type Browser, openBrowser } from '../../scripts/machine/browser.ts';
import { type FittingScreen, fittingPageOf } from '../../scripts/machine/fittingPage.ts';
import { type App, startApp } from './app.ts';

export interface Screen {
  app: App;
  driver: Browser['driver'];
  page: FittingScreen;
  /** Nothing is remembered on the device, and no page of ours is open. */
  forget: () => Promise<void>;
  /** The fitting as a new person finds it, with the client whom a word finds, if any. */
  startAfresh: (client?: string) => Promise<void>;
  /** The same client at hand as a fitting left them, and no page open: for tests of other pages. */
  putAtHand: (client: string) => Promise<void>;
}

interface As {
  /** With the demo studio's fit book. */
  readonly taught?: boolean;
  /**
   * The browser keeps the application on its device. Elsewhere it is one that can't: every test begins with a clean device, and
   * keeping all its files anew each time is a good part of such a test's work.
   */
  readonly keeps?: boolean;
}

/** The built application, a browser and the pages in it, for all tests of a file; `prepare` adds to the demo studio first. */
export function openScreen(prepare?: (app: App) => Promise<unknown>, as: As = {}): Screen {
  const screen = {} as Screen;
  let browser: Browser;
  before(async () => {
    screen.app = await startApp(as);
    await prepare?.(screen.app);
    browser = await openBrowser();
    if (!as.keeps) await developing(browser.driver).sendDevToolsCommand(...cantKeep);
    screen.driver = browser.driver;
    screen.page = fittingPageOf(browser.driver, screen.app.address);
    /** Of the application, but none of its pages. */
    const outside = () => `${screen.app.address}/icon.svg`;
    screen.forget = async () => {
      await screen.driver.get(outside());
      await screen.driver.executeAsyncScript(`
        const done = arguments[arguments.length - 1];
        sessionStorage.clear();
        localStorage.clear();
        caches.keys().then((names) => Promise.all(names.map((name) => caches.delete(name)))).then(() => done(), () => done());`);
      await screen.driver.manage().deleteAllCookies();
    };
    screen.startAfresh = async (client) => {
      await screen.forget();
      await screen.page.open(client ? `/?client=${await idOf(screen.app, client)}` : '/');
    };
    const left = new Map<string, object>();
    screen.putAtHand = async (client) => {
      const kept = left.get(client);
      if (!kept) {
        await screen.startAfresh(client);
        await screen.driver.get(outside());
        left.set(client, await screen.driver.executeScript<object>('return { ...sessionStorage }'));
        return;
      }
      await screen.forget();
      await screen.driver.executeScript('Object.assign(sessionStorage, arguments[0])', kept);
    };
  });
  after(async () => {
    await browser.quit();
    await screen.app.stop();
  });
  return screen;
}

const cantKeep = ['Page.addScriptToEvaluateOnNewDocument', { source: 'delete Navigator.prototype.serviceWorker;' }] as const;

interface Developing {
  sendDevToolsCommand(name: string, asked: object): Promise<void>;
  sendAndGetDevToolsCommand<T>(name: string, asked: object): Promise<T>;
}

/** The browser as its developers ask it: the driver's types don't tell of that. */
export function developing(driver: WebDriver): Developing {
  return driver as unknown as Developing;
}

async function idOf({ address }: App, client: string): Promise<string> {
  const answer = await fetch(`${address}/api/clients?find=${encodeURIComponent(client)}`);
  const [first] = ((await answer.json()) as { rows: { id: string }[] }).rows;
  if (!first) throw new Error(`No client is called ${client}.`);
  return first.id;
}
