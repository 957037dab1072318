import { expect, test } from '@playwright/test';
import { addDrill, expectAccessible, keepChanges, newSession, phone, runUntil, settled, signedIn } from './support';

test('three sessions are proposed, one is taken, and nothing is lost', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Proposed');
  await addDrill(page, 'Sole taps');
  await keepChanges(page);
  await page.getByRole('link', { name: 'Proposals' }).click();
  await page.getByLabel('Theme').selectOption('turning');
  await page.getByRole('button', { name: 'Propose three' }).click();
  const sessions = page.locator('.proposed');
  await expect(sessions).toHaveCount(3);
  await expectAccessible(page);

  // Each block says why; the figures are behind it.
  await sessions.first().locator('summary').first().click();
  await expect(sessions.first().locator('details li .num').first()).toHaveText(/^[+-]?\d+\.\d$/);
  const title = await sessions.first().locator('li strong').first().innerText();
  await page
    .getByRole('button', { name: `Must be in: ${title}` })
    .first()
    .click();
  await expect(page.getByRole('button', { name: `Must be in: take back ${title}` })).toBeVisible();
  await page.getByRole('button', { name: 'Three others' }).click();
  await expect(page.getByRole('button', { name: 'Three others' })).toBeEnabled();
  for (const heading of [1, 2, 3]) await expect(page.getByRole('region', { name: `Session ${heading}` }).getByText(title)).toBeVisible();

  // A wish that cannot be granted is answered with what works.
  await page.getByLabel('Slot, minutes').fill('0');
  await page.getByRole('button', { name: 'Propose three' }).click();
  await expect(page.getByText('A session lasts 10 to 240 minutes. Built for 10 minutes.')).toBeVisible();
  await page.getByLabel('Slot, minutes').fill('60');
  await page.getByRole('button', { name: 'Propose three' }).click();
  await expect(page.getByText('Built for 10 minutes.')).toBeHidden();
  await page.setViewportSize({ ...phone, width: 360 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await page.setViewportSize({ width: 1280, height: 800 });

  await page.getByRole('button', { name: 'Take session 2' }).click();
  await settled(page);
  await expect(page.locator('.slip', { hasText: 'What was today about?' })).toBeVisible();
  // Nothing was kept: what was there before is one press away.
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  await expect(page.locator('.order .slip')).toHaveCount(1);
  await page.getByRole('button', { name: 'Redo' }).click();
  await keepChanges(page);
  await page.reload();
  await settled(page);
  await expect(page.locator('.slip', { hasText: 'What was today about?' })).toBeVisible();
});

test('blocks are pulled on the ribbon to another place and another length, by mouse and by keys', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Pulled');
  for (const name of ['Sole taps', 'Pull back and out', 'Gate to gate']) await addDrill(page, name);
  await settled(page);
  const titles = page.locator('.slip strong');
  const on = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}, \\d`) });
  const middle = async (name: string) => {
    const box = await on(name).boundingBox();
    if (!box) throw new Error(`${name} is not on the ribbon.`);
    return { x: box.x + box.width / 2, y: box.y + box.height * 0.6, width: box.width };
  };

  const [from, to] = [await middle('Sole taps'), await middle('Gate to gate')];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y);
  await page.mouse.move(to.x + to.width * 0.4, from.y, { steps: 8 });
  // The totals follow before the block is let go.
  await expect(titles).toHaveText(['Pull back and out', 'Gate to gate', 'Sole taps']);
  await settled(page);
  await page.mouse.up();

  await on('Sole taps').focus();
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(titles).toHaveText(['Pull back and out', 'Sole taps', 'Gate to gate']);
  await settled(page);
  await expect(page.getByText('Sole taps is now number 2 of 3.')).toBeAttached();

  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Sets')).toHaveValue('2');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByLabel('Sets')).toHaveValue('3');
  await settled(page);
  const grip = await page.locator('.ribbon-grip').boundingBox();
  if (!grip) throw new Error('There is nothing to pull.');
  await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2);
  await page.mouse.down();
  await page.mouse.move(grip.x + 200, grip.y + grip.height / 2, { steps: 8 });
  await page.mouse.up();
  await settled(page);
  expect(Number(await page.getByLabel('Sets').inputValue())).toBeGreaterThan(3);
  await expectAccessible(page);
});

test('what is barred needs a reason, who may not work does not, and the sheet says both', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'With care');
  await addDrill(page, 'Receive on the far foot');
  await addDrill(page, 'From the hand: a soft ball to the hands, with the forehead');
  await page.getByLabel('Sets').fill('9');
  await settled(page);
  const heading = page.getByText(/headers a player\. At most 5 headers/);
  await expect(heading).toBeVisible();
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await expect(page.getByText(/Take it out, or say why it stands/)).toBeVisible();
  await page.getByRole('button', { name: 'Let it stand …' }).click();
  await page.getByLabel('Why it stands; kept with your name').fill('Balloons, agreed with the parents.');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Let it stand', exact: true }).click();

  await page.getByText(/^Who comes: /).click();
  await page.getByLabel('Not for everything today').selectOption('Kofi');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByLabel('Kofi today')).toHaveValue('serves-only');
  await page.getByText(/^Helpers and heat/).click();
  await page.getByLabel('Hot today').check();
  await settled(page);
  await expect(page.getByText(/^Hot today: water every ten minutes/)).toBeVisible();
  await page.getByText("Each player's time and touches").click();
  await expect(page.getByRole('row', { name: /^Kofi 0:00/ })).toBeVisible();
  await page.locator('.slip').first().click();
  await expect(page.getByText(/served by Kofi|Kofi/).first()).toBeVisible();
  await page.getByText('Each player in this block').click();
  await expect(page.getByRole('region', { name: /^Each player in this block/ }).getByRole('row', { name: /^Kofi 0:00/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Last time' })).toBeVisible();
  // A game is for those who may play; Kofi is there to count and fetch.
  await page.getByRole('button', { name: 'Game', exact: true }).click();
  await settled(page);
  await expect(page.getByText('To count and fetch: Kofi.')).toBeVisible();
  await expectAccessible(page);
  await keepChanges(page);
  await expect(page.getByText(/It stands: Balloons, agreed with the parents\. \(Mirela/)).toBeVisible();

  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByText(/It stands: Balloons/)).toBeVisible();
  await expect(page.getByText(/^In the bag \d+/)).toBeVisible();
  await expect(page.getByText(/^Together/).first()).toBeVisible();
  await expect(page.getByText(/^Hot today/)).toBeVisible();
  await expectAccessible(page);
});

test('on a phone the plan still moves by press', async ({ page }) => {
  await page.setViewportSize(phone);
  await signedIn(page);
  await newSession(page, 'In one hand');
  for (const name of ['Sole taps', 'Gate to gate']) await addDrill(page, name);
  await settled(page);
  await page.getByRole('button', { name: 'Earlier: Gate to gate' }).click();
  await expect(page.locator('.slip strong')).toHaveText(['Gate to gate', 'Sole taps']);
  await page.getByText(/^Who comes: /).click();
  await page.getByLabel('Not for everything today').selectOption('Bo');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await settled(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(phone.width);
});

test('a moment of a block is read out: who works, who rests, who waits; by keys and by pointing', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Who does what');
  await addDrill(page, 'Drag back and away');
  await settled(page);
  await page.getByText('Who does what, minute by minute').click();
  const chart = page.getByRole('img', { name: /Who does what in Drag back and away/ });
  await expect(chart).toBeVisible();
  const slider = page.getByRole('slider', { name: 'Moment' });
  // The first go of every pair: one works, the other waits for theirs.
  await expect(slider).toHaveAttribute('aria-valuetext', / work; .* wait\.$/);
  await slider.focus();
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowRight');
  await expect(slider).toHaveAttribute('aria-valuetext', / rest; .* work\.$|changes? over/);
  await slider.fill('0');
  await expect(slider).toHaveAttribute('aria-valuetext', /Everybody listens\.$/);
  const box = await chart.boundingBox();
  if (!box) throw new Error('The chart has no place.');
  await page.mouse.click(box.x + box.width - 10, box.y + 60);
  await expect(slider).not.toHaveValue('0');
  await expect(page.getByText('ball 3:00, waits').first()).toBeVisible();
  await expectAccessible(page);
  // On a phone a block opens where it stands, and closes again.
  await page.setViewportSize(phone);
  const block = page.getByRole('button', { name: /Drag back and away/ }).and(page.locator('.slip'));
  await expect(block).toHaveAttribute('aria-expanded', 'true');
  await block.click();
  await expect(page.getByLabel('Sets')).toBeHidden();
  await block.click();
  await expect(page.getByLabel('Sets')).toBeVisible();
  await page.getByText('Who does what, minute by minute').click();
  const narrow = await chart.boundingBox();
  expect(narrow?.width).toBeLessThanOrEqual(phone.width);
  await expectAccessible(page);
});

test('stations at the same time have a map: who starts where and who goes where next', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Two corners');
  for (const drill of ['Figure of eight', 'Sole taps']) await addDrill(page, drill);
  await page.locator('.order .slip', { hasText: 'Sole taps' }).click();
  await page.getByLabel(/At the same time as/).check();
  await settled(page);
  const map = page.getByRole('region', { name: /Who is where/ });
  await expect(map.getByRole('row')).toHaveCount(3);
  const first = map.getByRole('row').nth(1);
  await expect(first.getByRole('cell').first()).toHaveText('Figure of eight');
  await expect(first.getByRole('cell').nth(1)).toHaveText('Sole taps');
  await keepChanges(page);
  const plan = page.url();
  await page.goto(`${plan}/sheet`);
  await expect(page.getByRole('region', { name: /Who is where/ })).toHaveCount(1);
  await page.goto(plan.replace('/plan/', '/run/'));
  await page.getByRole('button', { name: 'Start' }).click();
  await runUntil(page, /^Turn 1 of 2: all stations/);
  await expect(page.getByRole('list', { name: 'Who is where' }).getByRole('listitem')).toHaveCount(2);
});

test('a rehearsal shows who stands idle before they do', async ({ page }) => {
  await signedIn(page);
  await newSession(page, 'Dry run', 7);
  await addDrill(page, 'Figure of eight');
  await keepChanges(page);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Rehearsal: Dry run' })).toBeVisible();
  await page.getByRole('button', { name: 'Stretch after' }).click();
  // Seven at figures of eight: three pairs and one, one of each at the ball.
  const places = page.getByRole('region', { name: 'The ground' }).getByRole('listitem');
  await expect(places).toHaveCount(4);
  await expect(page.locator('[data-sign="at the ball"]')).toHaveCount(4);
  await expect(page.locator('[data-sign="waiting"]')).toHaveCount(3);
  await expectAccessible(page);
  const timer = page.getByRole('timer');
  const before = await timer.innerText();
  await page.getByLabel('60 times').check();
  await page.getByRole('button', { name: 'Let it run' }).click();
  await expect(timer).not.toHaveText(before);
  await page.getByLabel('Moment of the session').fill('100000');
  await expect(page.getByRole('button', { name: 'From the start' })).toBeVisible();
  // By the end it is what the plan says of each.
  const rows = page.getByRole('region', { name: 'So far' }).getByRole('listitem');
  await expect(rows).toHaveCount(7);
  const waits = await rows.first().innerText();
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await settled(page);
  await page.locator('summary', { hasText: 'Who comes' }).click();
  await expect(page.locator('.share-bars').last()).toContainText(/waits (\d+:\d\d)$/.exec(waits.replaceAll('\n', ' '))?.[1] ?? 'none');
});
