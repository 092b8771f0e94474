import assert from 'node:assert/strict';
import { beforeEach, test } from 'node:test';
import { By, Key } from 'selenium-webdriver';
import { developing, openScreen } from '../support/screen.ts';

const screen = openScreen();
beforeEach(() => screen.putAtHand('Tobiah'));

const shows = (what: RegExp) => screen.page.waitFor(async () => what.test(await screen.page.body()), `nothing says ${what}`);
/** How many shades the picture that is turned has. */
const pictured = () =>
  screen.driver.executeScript<number>(`
    const shown = [...document.querySelectorAll('canvas')].find((each) => each.getAttribute('role') === 'slider');
    const copy = new OffscreenCanvas(210, 200).getContext('2d');
    copy.drawImage(shown, 0, 0, 210, 200);
    return new Set(new Uint32Array(copy.getImageData(0, 0, 210, 200).data.buffer)).size`);

test('a knot’s page shows it tied in cloth on its collar, turned by the keys, first of the usual cloth and then of this very tie', async () => {
  const { page, driver } = screen;
  await page.open('/knots/3.1');
  await page.one('//canvas[@data-drawn="true"]');
  const picture = await page.one('//canvas[@role="slider"]');
  assert.equal(await picture.getAttribute('aria-valuetext'), 'from the front');
  assert.ok((await pictured()) > 300, 'cloth, collar and shadow have many shades');
  for (let i = 0; i < 9; i++) await picture.sendKeys(Key.ARROW_RIGHT);
  assert.equal(await picture.getAttribute('aria-valuetext'), 'from the wearer’s right');
  const finer = () => driver.executeScript<boolean>('return arguments[0].width === 2 * arguments[0].clientWidth', picture);
  await page.waitFor(finer, 'once it rests it was not drawn in finer pixels');
  assert.ok((await pictured()) > 300);
  await shows(/Simulated in this tie|Tying this tie/);
  await driver.wait(async () => /Simulated in this tie/.test(await page.body()), 150_000, 'never tied');
  await page.open('/knots/3.1');
  await driver.wait(async () => /Simulated in this tie/.test(await page.body()), 5_000, 'what was tied before was not kept');
});

test('the dimple is laid as the client likes it, or as is asked for here; where a panel hides the tuck none is asked', async () => {
  const { page, driver } = screen;
  await page.open('/knots/3.1');
  const laid = () =>
    driver.executeScript<string>(
      `const dimple = [...document.querySelectorAll('fieldset')].find((each) => each.querySelector('legend')?.textContent === 'Dimple');
       return dimple?.querySelector('input:checked').closest('label').textContent`,
    );
  assert.equal(await laid(), 'slightly off-centre');
  await (await page.one('//label[normalize-space()="two"]')).click();
  await page.waitFor(async () => (await laid()) === 'two', 'no other dimple was chosen');
  await driver.wait(async () => /Simulated in this tie/.test(await page.body()), 150_000, 'never tied with two');
  await (await page.one('//label[normalize-space()="none"]')).click();
  await shows(/Shown with the dimple before, for now\. Tying this tie/);
  await driver.wait(async () => /Simulated in this tie/.test(await page.body()), 150_000, 'never tied without one');
  await page.open('/knots/o4.3');
  await page.one('//canvas[@role="slider"]');
  await screen.page.reads(async () => (await driver.findElements(By.xpath('//legend[normalize-space()="Dimple"]'))).length, 0);
});

test('tying this very tie can be stopped and asked for again', async () => {
  const { page, driver } = screen;
  await page.open('/knots/4.1');
  await (await page.button('Stop')).click();
  await shows(/Shown in a usual tie/);
  await (await page.button('Tie it in this tie')).click();
  await driver.wait(async () => /Simulated in this tie/.test(await page.body()), 150_000, 'never tied');
});

test('where the browser draws no light and shadow the cloth is painted all the same, and can be turned', async () => {
  const { page, driver } = screen;
  await page.open('/knots');
  await driver.executeScript(`sessionStorage.setItem('no-graphics', '1')`);
  await developing(driver).sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
    source: `if (sessionStorage.getItem('no-graphics')) {
        const of = HTMLCanvasElement.prototype.getContext;
        HTMLCanvasElement.prototype.getContext = function (kind, ...rest) { return /webgl/.test(kind) ? null : of.call(this, kind, ...rest); };
      }`,
  });
  await page.open('/knots/4.1');
  const picture = await page.one('//canvas[@role="slider"]');
  assert.ok((await pictured()) > 100);
  await picture.sendKeys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT);
  await page.waitFor(async () => /left/.test(String(await picture.getAttribute('aria-valuetext'))), 'it was not turned');
  await screen.page.reads(async () => (await driver.findElements(By.css('canvas[data-drawn="true"]'))).length, 0);
  await driver.executeScript(`sessionStorage.removeItem('no-graphics')`);
});

test('knots that are compared turn together', async () => {
  const { page, driver } = screen;
  await page.open('/knots/compare?of=4.1,6.4');
  await page.waitFor(
    async () => (await driver.findElements(By.css('canvas[role="slider"]'))).length === 2,
    'the two knots were not shown in cloth',
  );
  const [first] = await driver.findElements(By.css('canvas[role="slider"]'));
  await first?.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
  const turns = await Promise.all(
    (await driver.findElements(By.css('canvas[role="slider"]'))).map((each) => each.getAttribute('aria-valuenow')),
  );
  assert.deepEqual(turns, ['30', '30']);
});

test('the map and the fitting show small pictures of knots in cloth', async () => {
  const { page, driver } = screen;
  await page.open('/knots');
  const pictures = async (within: string) => (await driver.findElements(By.css(`${within} image[href^="blob:"]`))).length;
  await page.waitFor(async () => (await pictures('[data-code]')) === 85, 'not every knot has its picture');
  await page.open('/');
  await page.waitFor(async () => (await pictures('[data-knot]')) > 5, 'the list at the fitting has no pictures');
  await page.waitFor(async () => (await pictures('section[aria-label="Collar and knot"]')) === 1, 'the figure does not wear it');
});

test('a knot in cloth is taken away as a drawing for print', async () => {
  const { page, driver } = screen;
  await page.open('/knots/6.4');
  await driver.executeScript(`
    window.saved = [];
    HTMLAnchorElement.prototype.click = function () { window.saved.push(this.download); };`);
  await (await page.button('Save as SVG')).click();
  await (await page.button('Save as PNG')).click();
  await page.waitFor(async () => (await driver.executeScript<string[]>('return window.saved')).length === 2, 'nothing was saved');
  assert.deepEqual(await driver.executeScript('return window.saved'), ['Half-Windsor in cloth.svg', 'Half-Windsor in cloth.png']);
});
