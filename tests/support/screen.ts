import { after, before } from 'node:test';
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
}

/** The built application, a browser and the pages in it, for all tests of a file; `prepare` adds to the demo studio first; `taught` with its fit book. */
export function openScreen(prepare?: (app: App) => Promise<unknown>, as: { readonly taught?: boolean } = {}): Screen {
  const screen = {} as Screen;
  let browser: Browser;
  before(async () => {
    screen.app = await startApp(as);
    await prepare?.(screen.app);
    browser = await openBrowser();
    screen.driver = browser.driver;
    screen.page = fittingPageOf(browser.driver, screen.app.address);
    screen.forget = async () => {
      await screen.driver.get(`${screen.app.address}/icon.svg`);
      await screen.driver.executeAsyncScript(`
        const done = arguments[arguments.length - 1];
        sessionStorage.clear();
        localStorage.clear();
        const forgotten = [
          caches.keys().then((names) => Promise.all(names.map((name) => caches.delete(name)))),
          navigator.serviceWorker.getRegistrations().then((all) => Promise.all(all.map((each) => each.unregister()))),
        ];
        Promise.all(forgotten).then(() => done(), () => done());`);
      await screen.driver.manage().deleteAllCookies();
    };
    screen.startAfresh = async (client) => {
      await screen.forget();
      await screen.page.open(client ? `/?client=${await idOf(screen.app, client)}` : '/');
    };
  });
  after(async () => {
    await browser.quit();
    await screen.app.stop();
  });
  return screen;
}

async function idOf({ address }: App, client: string): Promise<string> {
  const answer = await fetch(`${address}/api/clients?find=${encodeURIComponent(client)}`);
  const [first] = ((await answer.json()) as { rows: { id: string }[] }).rows;
  if (!first) throw new Error(`No client is called ${client}.`);
  return first.id;
}
