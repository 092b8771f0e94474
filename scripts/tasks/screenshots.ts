import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { WebDriver } from 'selenium-webdriver';
import { backupIn, makeBackup } from '../machine/backup/make.ts';
import { openBrowser } from '../machine/browser.ts';
import { runTask } from '../machine/failure.ts';
import { type FittingScreen, fittingPageOf } from '../machine/fittingPage.ts';
import { withPassingStudio } from '../machine/passingStudio.ts';
import { root } from '../machine/paths.ts';

interface Picture {
  readonly name: string;
  readonly path: string;
  readonly prepare: (page: FittingScreen) => Promise<void>;
  readonly size?: Size;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

const desk: Size = { width: 1280, height: 800 };
const tablet: Size = { width: 1024, height: 768 };

/** One picture of each main view, from the demo studio. */
const pictures: readonly Picture[] = [
  { name: 'choice', path: '/', prepare: (page) => wearing(page, 'Edrin') },
  { name: 'choice-tablet', path: '/', size: tablet, prepare: (page) => wearing(page, 'Edrin') },
  {
    name: 'walk-in',
    path: '/',
    prepare: async (page) => {
      await (await page.one('//button[span[normalize-space()="Client:"]]')).click();
      await (await page.one('//*[@role="option"][contains(., "New client")]')).click();
      await page.type('Name', 'Rowan Tidewell');
      await page.type('Height', '183');
    },
  },
  {
    name: 'why-not',
    path: '/',
    prepare: async (page) => {
      await wearing(page, 'Tobiah');
      await page.choose('Shirt', 'point');
      await (await page.one('//*[@data-knot][contains(., "Windsor")]//label')).click();
      await (await page.button('What would make it right?')).click();
    },
  },
  {
    name: 'how-sure',
    path: '/',
    prepare: async (page) => {
      await wearing(page, 'Pell');
      await (await page.button('How sure is this?')).click();
      await page.waitFor(async () => /stays first in so many/.test(await page.body()), 'not answered');
    },
  },
  {
    name: 'start-as-hung',
    path: '/?stage=set',
    prepare: async (page) => {
      await page.choose('Client', 'Tobiah');
      await page.choose('Shirt', 'House white, cutaway');
      await (await page.one('//label[normalize-space()="in"]')).click();
    },
  },
  {
    name: 'came-out-wrong',
    path: '/?stage=set',
    prepare: async (page) => {
      await page.choose('Client', 'Tobiah');
      await (await page.one('//*[@role="tab"][contains(., "came out wrong")]')).click();
      await (await page.one('//label[contains(., "blade tip ended")]/following-sibling::input')).sendKeys('4.5');
      await (await page.one('//label[normalize-space()="below it"]')).click();
      await (await page.button('Keep this attempt')).click();
      await page.one('//*[@data-testid="next-start"]');
    },
  },
  {
    name: 'step-mirror',
    path: '/?stage=tie',
    prepare: async (page) => {
      await page.choose('Client', 'Edrin');
      await (await page.one('//legend[.="Seen"]/following::label[normalize-space()="wearer’s mirror"]')).click();
      await atStep(page, 4);
    },
  },
  {
    name: 'step-facing',
    path: '/?stage=tie',
    prepare: async (page) => {
      await page.choose('Client', 'Tobiah');
      await atStep(page, 3);
    },
  },
  {
    name: 'card',
    path: '/?stage=tie',
    prepare: async (page) => {
      await page.choose('Client', 'Edrin');
      await page.choose('Client', 'Tobiah');
      await atStep(page, 5);
      // Its pictures are painted one after the other, and anew once this very tie is simulated.
      await page.one('//*[text()[contains(., "Simulated in this tie")]]');
      await (await page.one('//*[@role="tab"][.="Card"]')).click();
      await page.one('//button[.="Print"][not(@disabled)]');
    },
  },
  {
    name: 'check',
    path: '/?stage=check',
    prepare: async (page) => {
      await page.choose('Client', 'Edrin');
      await page.choose('Client', 'Tobiah');
      await (await page.one('//label[.="The blade tip ended"]/following-sibling::input')).sendKeys('3');
      await (await page.one('//label[normalize-space()="below it"]')).click();
      await (await page.one('//*[@role="group"][@aria-label="Dimple"]//button[.="double"]')).click();
      await (await page.button('The rest is in order')).click();
    },
  },
  {
    name: 'knots',
    path: '/',
    prepare: async (page) => {
      await page.choose('Client', 'Tobiah');
      await page.open('/knots');
      await page.one('//*[@data-code="4.1"]//*[local-name()="image"]');
    },
  },
  {
    name: 'knot',
    path: '/',
    prepare: async (page) => {
      await page.choose('Client', 'Edrin');
      await page.open('/knots/6.4');
      await inCloth(page, 1);
    },
  },
  { name: 'fit-book', path: '/fittings', prepare: async () => undefined },
  { name: 'learnt', path: '/fittings/learnt', prepare: async (page) => void (await page.one('//figure//*[name()="svg"]')) },
  { name: 'client', path: '/clients', prepare: (page) => page.openRecord('clients', 'corvane') },
  { name: 'tie', path: '/clients', prepare: (page) => page.openRecord('ties', 'long slate') },
  { name: 'wardrobe', path: '/wardrobe', prepare: async (page) => void (await page.one('//*[contains(., "lent since")]')) },
  {
    name: 'import-export',
    path: '/import-export',
    prepare: async (page) => {
      const table =
        'Item,Length (in),Width (in),Thickness,Material,Shelf\nHarbour plaid,58,3 1/4,3.2,Woven silk,B2\nKeel grey,58,wide,2.8,Wool,B3\n';
      await page.importFile('stock of ties.csv', table);
      await page.one('//p[contains(., "1 error")]');
    },
  },
];

/** A step of the tying, in this very tie. */
async function atStep(page: FittingScreen, step: number): Promise<void> {
  await page.one('//main//canvas[@data-drawn="true"]');
  await (await page.one(`(//ol[@aria-label="Steps"]//button)[${step + 1}]`)).click();
  await page.waitFor(async () => /Simulated in this tie/.test(await page.body()), 'it was never settled', mostTyingMs);
}

/** A client's fitting, as it is chosen from. */
async function wearing(page: FittingScreen, client: string): Promise<void> {
  await page.choose('Client', client);
  await smallPicturesCome(page);
}

const restMs = 1500;

/** Waits until the first of the ranked knots has its picture instead of its outline, and no other one takes its place. */
async function smallPicturesCome(page: FittingScreen): Promise<void> {
  const href = async () => (await page.one('//*[@data-rank="1"]//*[local-name()="image"]')).getAttribute('href');
  await page.waitFor(async () => {
    const before = await href();
    await new Promise((resolve) => setTimeout(resolve, restMs));
    return (await href()) === before;
  }, 'the small pictures change all the time');
}

const mostTyingMs = 180_000;

/** Waits until so many knots are shown in this very tie. */
async function inCloth(page: FittingScreen, knots: number): Promise<void> {
  await page.one('//canvas[@data-drawn="true"]');
  const said = /Simulated in this tie|In this tie\./g;
  await page.waitFor(async () => (await page.body()).match(said)?.length === knots, 'it was never tied', mostTyingMs);
}

const folder = join(root, 'docs', 'screenshots');

await runTask(() =>
  withPassingStudio(async ({ web, addresses }) => {
    await makeBackup(addresses.owner, backupIn(join(tmpdir(), 'lanternmoor')));
    const asked = process.argv.slice(2);
    // Named ones are renewed in their place.
    if (asked.length === 0) rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
    for (const { name, path, prepare, size = desk } of pictures) {
      if (asked.length > 0 && !asked.includes(name)) continue;
      const browser = await openBrowser(size);
      try {
        await fitViewport(browser.driver, size);
        const page = fittingPageOf(browser.driver, web.address);
        await page.open(path);
        await prepare(page);
        await settled(browser.driver);
        writeFileSync(join(folder, `${name}.png`), await browser.driver.takeScreenshot(), 'base64');
        console.log(`docs/screenshots/${name}.png`);
      } finally {
        await browser.quit();
      }
    }
  }),
);

/** Window borders count in a window's size, so it is grown until the page itself has the size wanted. */
async function fitViewport(driver: WebDriver, size: Size): Promise<void> {
  const [innerWidth, innerHeight] = await driver.executeScript<[number, number]>('return [innerWidth, innerHeight]');
  await driver
    .manage()
    .window()
    .setRect({ width: 2 * size.width - innerWidth, height: 2 * size.height - innerHeight });
}

async function settled(driver: WebDriver): Promise<void> {
  await driver.executeScript('document.activeElement?.blur()');
  await driver.executeAsyncScript(
    'const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(done)));',
  );
}
