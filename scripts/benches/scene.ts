import { openBrowser } from '../machine/browser.ts';
import { fittingPageOf } from '../machine/fittingPage.ts';
import type { CrowdedStudio } from './crowdedStudio.ts';
import { report } from './report.ts';

const frames = 24;
const mostTyingMs = 60_000;

/** A knot on its collar, drawn by software: how long a frame takes while it is turned. */
export async function benchScene({ address }: CrowdedStudio): Promise<void> {
  const browser = await openBrowser(1280, 800);
  const page = fittingPageOf(browser.driver, address);
  try {
    await page.open('/');
    await page.choose('Client', 'Tobiah');
    await page.open('/knots/6.4');
    await page.one('//canvas[@data-drawn="true"]');
    await page.waitFor(async () => /Simulated in this tie/.test(await page.body()), 'it was never tied', mostTyingMs);
    const [wide, high, ms] = await browser.driver.executeAsyncScript<[number, number, number]>(
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
    report([[`a knot on its collar, ${wide} × ${high}`, `${ms.toFixed(0)} ms`, 'a frame, by software']]);
  } finally {
    await browser.quit();
  }
}
