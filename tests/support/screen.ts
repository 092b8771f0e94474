import { after, before } from 'node:test';
import { type Browser, openBrowser } from '../../scripts/machine/browser.ts';
import { type FittingScreen, fittingPageOf } from '../../scripts/machine/fittingPage.ts';
import { type App, startApp } from './app.ts';

export interface Screen {
  app: App;
  driver: Browser['driver'];
  bench: FittingScreen;
  /** The bench as a new person finds it: nothing remembered on the device. */
  startAfresh: () => Promise<void>;
}

/** The built application, a browser and the bench in it, for all tests of a file; `prepare` adds to the demo studio first. */
export function openScreen(prepare?: (app: App) => Promise<unknown>): Screen {
  const screen = {} as Screen;
  let browser: Browser;
  before(async () => {
    screen.app = await startApp();
    await prepare?.(screen.app);
    browser = await openBrowser();
    screen.driver = browser.driver;
    screen.bench = fittingPageOf(browser.driver, screen.app.address);
    screen.startAfresh = async () => {
      await screen.driver.get(`${screen.app.address}/icon.svg`);
      await screen.driver.executeScript('sessionStorage.clear(); localStorage.clear();');
      await screen.bench.open();
    };
  });
  after(async () => {
    await browser.quit();
    await screen.app.stop();
  });
  return screen;
}
