import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { addDrill, assistant, expectAccessible, keepChanges, newSession, phone, runLink, runUntil, settled, signedIn } from './support';

test('a coach makes a drill their own, sees what a change comes to, and keeps, shares and retires it', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills/zigzag-in-out');
  await page.getByRole('link', { name: 'Make it your own' }).click();
  await expect(page.getByRole('heading', { name: 'Its numbers go on where they were' })).toBeVisible();
  await expectAccessible(page);

  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Zigzag along the wall');
  await page.getByLabel('Spacing').fill('5');
  await expect(page.getByRole('heading', { name: 'This starts a new record line' })).toBeVisible();
  await expect(page.getByText('Spacing was 4 yd, is 5 yd.')).toBeVisible();
  await expect(page.getByText('the ball travels 20 yd a rep.')).toBeVisible();

  // Bad input: a sentence at the field, and nothing of the rest is lost.
  await page.getByRole('textbox', { name: 'Markers' }).fill('500');
  await expect(page.getByText('Markers must be between 2 and 60.').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Markers' }).fill('6');
  await page.getByLabel('Touch script').fill('(a.in/across a.elbow)x+');
  await expect(page.getByRole('alert').filter({ hasText: 'Column 16' })).toBeVisible();
  await page.reload();
  await expect(name).toHaveValue('Zigzag along the wall');
  await page.getByLabel('Touch script').fill('(a.in/across a.out/out)x+');
  await name.fill('Inside taps');
  await page.getByRole('button', { name: 'Keep as our own' }).click();
  await expect(page.getByRole('alert').filter({ hasText: '"Inside taps" is in the book already.' })).toBeVisible();
  await name.fill('Zigzag along the wall');
  await page.getByRole('button', { name: 'Keep as our own' }).click();

  await expect(page.getByRole('heading', { level: 1, name: 'Zigzag along the wall' })).toBeVisible();
  await expect(page.getByText('Your own, version 1')).toBeVisible();
  await page.getByRole('button', { name: 'Share in the club' }).click();
  await expect(page.getByRole('button', { name: 'Stop sharing' })).toBeVisible();
  await page.getByRole('link', { name: 'Change it' }).click();
  await page.getByLabel('In a sentence').fill('Along the wall, wind from the left.');
  await page.getByRole('button', { name: 'Keep as the next version' }).click();
  await expect(page.getByText('Your own, version 2')).toBeVisible();
  await page.getByRole('button', { name: 'Retire' }).click();
  await page.getByRole('button', { name: 'Retire it' }).click();
  await expect(page).toHaveURL(/\/book\/drills$/);
  await expect(page.getByRole('link', { name: 'Zigzag along the wall' })).toHaveCount(0);
});

test('drills are found by what there is today', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills');
  await page.getByText('What you have today').click();
  await page.getByLabel('People').selectOption('alone');
  await page.getByLabel('Wall', { exact: true }).selectOption('no');
  await page.getByLabel('Wide, yd').fill('5.5');
  await expect(page.getByRole('link', { name: 'Sole taps', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Zigzag, inside and outside' })).toHaveCount(0);
  await expectAccessible(page);
  await page.getByLabel('Minutes').fill('soon');
  await expect(page.getByText('Some of what was entered cannot be used.')).toBeVisible();
  await page.getByLabel('Minutes').fill('1');
  await expect(page.getByText(/^No drill fits all of this|^\d+ drills?$/)).toBeVisible();
  // The wishes are in the address, so a link brings them along.
  await page.reload();
  await expect(page.getByLabel('Wide, yd')).toHaveValue('5.5');
  await page.getByRole('button', { name: 'Leave all wishes out' }).click();
  await expect(page.getByText(/^1\d\d drills$/)).toBeVisible();
});

test('a drill goes out as a file and comes back, and a bad file is refused whole', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills/twelve-windows');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as a file' }).click()]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as { format: string; drills: { name: string; goodChance: number }[] };
  expect(file.format).toBe('fleet-sparrow/drill');

  await page.goto('/book/drills');
  const choose = (content: string) =>
    page.getByLabel('Drill file').setInputFiles({ name: 'drills.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await choose('{"format": ');
  await expect(page.getByText(/This is not a JSON file/)).toBeVisible();
  await choose(JSON.stringify({ ...file, version: 3 }));
  await expect(page.getByText(/version 2 is the newest known here/)).toBeVisible();
  await choose(JSON.stringify({ ...file, drills: [{ ...file.drills[0], goodChance: 7 }] }));
  await expect(page.getByText('drills.0.goodChance')).toBeVisible();
  await choose('x'.repeat(1_100_000));
  await expect(page.getByText('A drill file holds at most 1 MB. Split it.')).toBeVisible();
  await choose(JSON.stringify({ ...file, drills: [{ ...file.drills[0], name: 'Twelve windows from a file' }] }));
  await page.getByRole('link', { name: 'Twelve windows from a file' }).first().click();
  await expect(page.getByText('In this order, without stopping')).toBeVisible();
});

test('a layout walks at its tempo, and stands still for who asks for less motion', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await signedIn(page);
  await page.goto('/book/drills/zigzag-in-out');
  await page.getByRole('button', { name: 'Walk through it' }).click();
  const ball = page.locator('[data-walks=ball]');
  await expect(ball).toBeVisible();
  const at = await ball.getAttribute('cx');
  await expect.poll(() => ball.getAttribute('cx')).not.toBe(at);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(ball).toHaveCount(0);

  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  await page.getByRole('button', { name: 'Step through it' }).click();
  const still = await ball.getAttribute('cx');
  await page.waitForTimeout(300);
  expect(await ball.getAttribute('cx')).toBe(still);
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect.poll(() => ball.getAttribute('cx')).not.toBe(still);
});

test('a published test is scored with every penalty', async ({ page }) => {
  await signedIn(page, assistant);
  await page.goto('/book/drills/sixteen-passes');
  await expect(page.getByText(/Journal of Sports Sciences 25 \(2007\)/)).toBeVisible();
  await page.getByLabel('Time, s').fill('47.9');
  await page.getByLabel(/^Wrong board/).fill('1');
  await page.getByLabel(/^Ball handled/).fill('1');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('59.9 points: 47.9 s and 12 s of penalties.')).toBeVisible();
  await expect(page.getByText('Over 43 s: 4 × 1 s = 4 s')).toBeVisible();
  await page.getByLabel('Time, s').fill('0');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText('The time must be over 0 and at most 3600 seconds.')).toBeVisible();
  // An assistant counts, and does not change the book.
  await expect(page.getByRole('link', { name: 'Make it your own' })).toHaveCount(0);
  await page.goto('/book/drills/sixteen-passes/copy');
  await expect(page.getByText('Only the squad’s coach or the club lead can do this.')).toBeVisible();
});

test('ladders show where each player stands and why', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/ladders');
  const turns = page.locator('section', { has: page.getByRole('heading', { name: 'Turns over the line' }) }).last();
  await turns.getByText('Noor', { exact: true }).click();
  await expect(turns.locator('details[open]').getByText(/right: .* of the last 3 reach 10; left: /)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What needs what' })).toBeVisible();
  await expectAccessible(page);
});

test('a circuit and a build-up are planned and the circuit is run item by item', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'In a row');
  await addDrill(page, 'Warm-up circuit, three moves');
  await settled(page);
  await expect(page.getByText('1 round, all wait for the last')).toBeVisible();
  await page.getByLabel('From item to item').selectOption('at own pace');
  await expect(page.getByText('1 round, at own pace')).toBeVisible();
  await page.getByLabel('From item to item').selectOption('all wait for the last');
  await page.getByLabel('Rounds').fill('2');
  await addDrill(page, 'Chain of turns, link by link');
  await page.locator('.order .slip', { hasText: 'Chain of turns' }).click();
  await page.getByLabel('Links, of 4').fill('9');
  await expect(page.getByText('This build-up has 1 to 4 links.').first()).toBeVisible();
  await page.getByLabel('Links, of 4').fill('2');
  await settled(page);
  await page.getByRole('button', { name: 'One link more' }).click();
  await expect(page.getByLabel('Links, of 4')).toHaveValue('3');
  await page.getByRole('button', { name: 'One link fewer' }).click();
  await settled(page);
  await page.getByText('What stays, what moves').click();
  await expect(page.getByText(/One station, after Warm-up circuit, three moves: \d+ stay/)).toBeVisible();
  await keepChanges(page);
  await page.reload();
  await page.locator('.order .slip', { hasText: 'Chain of turns' }).click();
  await expect(page.getByLabel('Links, of 4')).toHaveValue('2');
  await runLink(page).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /Twenty sole taps/);
  await runUntil(page, /Free dribbling/);
  await runUntil(page, /: Chain of turns/);
  await runUntil(page, /(Right|Feet in turn|Both|Left|Either).*: Chain of turns/);
  await expect(page.getByText('Links 1 to 2 of 4')).toBeVisible();
  await page.getByRole('button', { name: 'One link more' }).click();
  await expect(page.getByText('Links 1 to 3 of 4')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Links 1 to 3 of 4')).toBeVisible();
});

test('a drill prints on one sheet with its drawing', async ({ page }) => {
  await signedIn(page);
  await page.goto('/book/drills/zigzag-in-out');
  await expect(page.getByRole('img', { name: /Layout of Zigzag/ })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('img', { name: /Layout of Zigzag/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Settings' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const sheet = (await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '12mm', right: '12mm' } })).toString('latin1');
  expect(sheet.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('own drills, wishes and ladders fit a phone', async ({ page }) => {
  await page.setViewportSize({ ...phone, width: 360 });
  await signedIn(page);
  for (const path of [
    '/book/drills?people=alone',
    '/book/drills/one-marker-one-server',
    '/book/drills/one-marker-one-server/copy',
    '/book/drills/sixteen-passes',
    '/book/ladders',
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(360);
  }
  await expectAccessible(page);
});
