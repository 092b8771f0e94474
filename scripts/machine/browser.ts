import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, type WebDriver } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import { chromedriver, chromium, ensureBrowser } from './debian.ts';

export interface Browser {
  readonly driver: WebDriver;
  readonly quit: () => Promise<void>;
}

/** A headless browser with a profile of its own, gone when it quits. */
export async function openBrowser({ width = 1280, height = 800 } = {}): Promise<Browser> {
  ensureBrowser();
  const profile = mkdtempSync(join(tmpdir(), 'ropewalk-browser-'));
  const options = new chrome.Options();
  options.setChromeBinaryPath(chromium);
  options.addArguments(
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    // Pictures with light and shadow are drawn by software.
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--hide-scrollbars',
    `--window-size=${width},${height}`,
    `--user-data-dir=${profile}`,
  );
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder(chromedriver))
    .build();
  await driver.manage().window().setRect({ width, height });
  return {
    driver,
    quit: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}
