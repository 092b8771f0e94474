import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { WebDriver } from 'selenium-webdriver';
import { openBrowser } from '../machine/browser.ts';
import { withPassingStudio } from '../machine/passingStudio.ts';
import { root } from '../machine/paths.ts';
import { report } from './report.ts';

/** A page of next to nothing, served by the same process. */
const bare = { name: 'a bare page', path: '/nowhere' } as const;
const pages = [
  bare,
  { name: 'fitting', path: '/' },
  { name: 'clients', path: '/clients' },
  { name: 'a knot', path: '/knots/6.4' },
] as const;
const rounds = 5;
const patienceMs = 10_000;

interface Painted {
  readonly firstMs: number;
  readonly largestMs: number;
  readonly scripts: readonly string[];
}

/** First load of the main pages in a browser that has never been there: bytes of script, and time to the first and the largest paint. */
export async function benchFirstLoad(): Promise<void> {
  await withPassingStudio(async ({ web }) => {
    const measured = new Map<string, Painted[]>();
    for (let round = 0; round < rounds; round += 1) {
      for (const { name, path } of pages) {
        const browser = await openBrowser();
        try {
          const all = measured.get(name) ?? [];
          all.push(await painted(browser.driver, web.address + path));
          measured.set(name, all);
        } finally {
          await browser.quit();
        }
      }
    }
    const middle = (name: string, of: (each: Painted) => number) =>
      (measured.get(name) ?? []).map(of).sort((a, b) => a - b)[Math.floor(rounds / 2)] ?? 0;
    report(
      pages.flatMap(({ name }) => {
        const [first, largest] = [middle(name, ({ firstMs }) => firstMs), middle(name, ({ largestMs }) => largestMs)];
        const scripts = measured.get(name)?.[0]?.scripts ?? [];
        const kB = scripts.reduce((sum, script) => sum + gzippedBytes(script), 0) / 1000;
        const over = (ms: number, of: (each: Painted) => number) =>
          name === bare.name ? '' : `${(ms / middle(bare.name, of)).toFixed(1)} × bare`;
        return [
          [`${name}: script, gzipped`, `${kB.toFixed(0)} kB`, `${scripts.length} files`],
          [`${name}: first paint`, `${first.toFixed(0)} ms`, over(first, ({ firstMs }) => firstMs)],
          [`${name}: largest paint`, `${largest.toFixed(0)} ms`, over(largest, ({ largestMs }) => largestMs)],
        ] as const;
      }),
    );
  });
}

async function painted(driver: WebDriver, url: string): Promise<Painted> {
  await driver.get(url);
  await driver.wait(() => driver.executeScript<boolean>('return document.querySelectorAll("astro-island[ssr]").length === 0'), patienceMs);
  return driver.executeAsyncScript<Painted>(`
    const done = arguments[0];
    let largest = 0;
    new PerformanceObserver((list) => { for (const each of list.getEntries()) largest = each.startTime; }).observe({ type: 'largest-contentful-paint', buffered: true });
    requestIdleCallback(() => done({
      firstMs: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0,
      largestMs: largest,
      scripts: performance.getEntriesByType('resource').map(({ name }) => new URL(name).pathname).filter((path) => path.endsWith('.js')),
    }), { timeout: 3000 });`);
}

/** As it was compressed when it was built; what is too small for that, as it is compressed on the way. */
function gzippedBytes(path: string): number {
  const file = join(root, 'dist', 'client', path);
  try {
    return statSync(`${file}.gz`).size;
  } catch {
    return gzipSync(readFileSync(file)).byteLength;
  }
}
