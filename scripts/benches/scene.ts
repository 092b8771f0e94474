import type { WebDriver } from 'selenium-webdriver';
import { openBrowser } from '../machine/browser.ts';
import { fittingPageOf } from '../machine/fittingPage.ts';
import type { CrowdedStudio } from './crowdedStudio.ts';
import { report } from './report.ts';

const frames = 24;
const mostTyingMs = 60_000;

/** A knot on its collar, and a tie being tied, drawn by software: how long a frame takes while they are turned. */
export async function benchScene({ address }: CrowdedStudio): Promise<void> {
  const browser = await openBrowser();
  const page = fittingPageOf(browser.driver, address);
  try {
    await page.open('/');
    await page.choose('Client', 'Tobiah');
    await page.open('/knots/6.4');
    await page.one('//canvas[@data-drawn="true"]');
    await page.waitFor(async () => /Simulated in this tie/.test(await page.body()), 'it was never tied', mostTyingMs);
    const knot = await turning(browser.driver);
    await page.open('/?stage=tie');
    await page.one('//canvas[@data-drawn="true"]');
    await page.waitFor(async () => /Simulated in this tie/.test(await page.body()), 'its steps were never settled', mostTyingMs);
    const tying = await turning(browser.driver);
    report([
      [`a knot on its collar, ${knot.size}`, `${knot.ms.toFixed(0)} ms`, 'a frame, by software'],
      [`a tie being tied, ${tying.size}`, `${tying.ms.toFixed(0)} ms`, 'a frame, by software'],
    ]);
  } finally {
    await browser.quit();
  }
}

/** How long a frame takes while the picture on the page is turned by its keys, ms. */
async function turning(driver: WebDriver): Promise<{ readonly size: string; readonly ms: number }> {
  const [wide, high, ms] = await driver.executeAsyncScript<[number, number, number]>(
    `
    const [frames, done] = arguments;
    const canvas = document.querySelector('canvas[data-drawn="true"]');
    const pixel = new Uint8Array(4);
    const graphics = canvas.getContext('webgl2');
    let turned = 0;
    const from = performance.now();
    const turn = () => {
      // Reading a pixel waits until the frame before is drawn.
      graphics.readPixels(0, 0, 1, 1, graphics.RGBA, graphics.UNSIGNED_BYTE, pixel);
      if (turned++ === frames) return done([canvas.width, canvas.height, (performance.now() - from) / frames]);
      canvas.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
      requestAnimationFrame(turn);
    };
    turn();`,
    frames,
  );
  return { size: `${wide} × ${high}`, ms };
}
