import { after, before } from 'node:test';
import { type Browser, openBrowser } from '../../scripts/machine/browser.ts';
import { type FittingScreen, fittingPageOf } from '../../scripts/machine/fittingPage.ts';
import { type App, startApp } from './app.ts';

export interface Screen {
  app: App;
  driver: Browser['driver'];
  page: FittingScreen;
  /** The fitting as a new person finds it: nothing remembered on the device. */
  startAfresh: () => Promise<void>;
}

/** The built application, a browser and the pages in it, for all tests of a file; `prepare` adds to the demo studio first. */
export function openScreen(prepare?: (app: App) => Promise<unknown>): Screen {
  const screen = {} as Screen;
  let browser: Browser;
  before(async () => {
    screen.app = await startApp();
    await prepare?.(screen.app);
    browser = await openBrowser();
    screen.driver = browser.driver;
    screen.page = fittingPageOf(browser.driver, screen.app.address);
    screen.startAfresh = async () => {
      await screen.driver.get(`${screen.app.address}/icon.svg`);
      await screen.driver.executeScript('sessionStorage.clear(); localStorage.clear();');
      await screen.driver.manage().deleteAllCookies();
      await screen.page.open();
    };
  });
  after(async () => {
    await browser.quit();
    await screen.app.stop();
  });
  return screen;
}
