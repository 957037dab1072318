import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, phone, signedIn } from './support';

const player = async (page: Page, name: string) => {
  await page.goto('/squad');
  await page.getByRole('rowheader', { name }).getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
};
const says = (page: Page, title: string) => page.getByRole('region', { name: title });

test('the season tells its stories where a coach looks', async ({ page }) => {
  await signedIn(page);
  // Stuck for weeks.
  await page.goto('/squad');
  await expect(page.getByRole('listitem').filter({ hasText: 'Stuck most' }).getByRole('link').first()).toHaveText('Piet');
  await expect(page.getByRole('listitem').filter({ hasText: 'Climbing most' }).getByRole('link').first()).toHaveText('Yui');
  await expect(page.getByText('Nobody met for three weeks:')).toContainText('Nobody met for three weeks');
  await player(page, 'Piet');
  await expect(says(page, 'What is stuck')).toContainText('Stuck for weeks');
  await says(page, 'What is stuck').getByText('How do you know?').first().click();
  await expect(says(page, 'What is stuck')).toContainText('the record has stood for three weeks');

  // A strong left foot nobody noticed, a rung passed, a spacing that was changed in mid-season.
  await player(page, 'Noor');
  await expect(says(page, 'What changed')).toContainText('Left footAhead of the right on');
  await expect(page.locator('.folded > li', { hasText: 'once through, 5 yd apart' })).toHaveCount(2);
  await expect(page.locator('.folded > li', { hasText: 'once through, 4 yd apart' })).toHaveCount(2);
  await expect(page.locator('.folded > li', { hasText: 'once through, 5 yd apart' }).first()).toContainText('not met for a while');
  await expect(page.getByText(/: move on to/).first()).toBeVisible();

  // A drop-off inside sets.
  await player(page, 'Dag');
  await expect(says(page, 'What is stuck')).toContainText('The last set falls off by');

  // A drill that always overruns, a family that fades.
  await page.goto('/season');
  await expect(page.getByText('Receive on the far foot took longer 9 of 9 times')).toBeVisible();
  await expect(says(page, 'What the next fortnight needs').getByRole('listitem').first()).toContainText(/Juggling.*Not met for \d+ days/);
});

test('what the next fortnight needs is handed to the planner in one press', async ({ page }) => {
  await signedIn(page);
  await page.goto('/season');
  await page.getByRole('button', { name: 'What if …' }).click();
  await page.getByLabel(/^The next 4 weeks with/).selectOption('one more evening a week, on the other foot only');
  await expect(page.getByRole('row', { name: /With the other foot/ })).toContainText(/% to \d+%$/);
  await page.getByRole('link', { name: 'Plan from this' }).click();
  await expect(page.getByLabel('Theme')).toHaveValue('juggling');
  await page.getByRole('button', { name: 'Propose three' }).click();
  await expect(page.locator('.proposed')).toHaveCount(3);
});

test('advice not taken is remembered, and moves nobody', async ({ page }) => {
  await signedIn(page);
  await player(page, 'Lior');
  const first = page.getByRole('button', { name: /^Not yet: / }).first();
  const ladder = ((await first.getAttribute('aria-label')) ?? '').replace('Not yet: ', '');
  await first.click();
  const held = page.getByRole('listitem').filter({ hasText: ladder }).filter({ hasText: 'held, as you said' });
  await expect(held).toBeVisible();
  await page.reload();
  await expect(held).toBeVisible();
  await expect(page.getByRole('button', { name: `Not yet: ${ladder}` })).toHaveCount(0);
});

test('numbers from paper: pasted, a slip asked about, a bad one kept with its reason', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await signedIn(page);
  await page.goto('/squad/paper');
  await page.getByLabel('What was counted').selectOption({ label: 'Gate to gate, reps in 60 s' });
  await expect(page.getByText('Say which day first.')).toBeVisible();
  await page.getByLabel('The day').fill('2025-05-06');
  await page.evaluate(() => navigator.clipboard.writeText('Bo\t11\t12 13\nAmina\t140\tabc\n'));
  await page.getByLabel('Amina, left foot').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(page.getByLabel('Bo, right foot')).toHaveValue('12 13');
  await expect(page.getByText(/^140 after \d+: a slip of the finger\? It can be kept\.$/)).toBeVisible();
  await expect(page.getByText('Digits only.')).toBeVisible();
  await page.getByLabel('Amina, left foot').press('Enter');
  await expect(page.getByLabel('Bo, left foot')).toBeFocused();
  await page.getByRole('button', { name: 'Keep 4 numbers' }).click();
  await expect(page.getByText('4 numbers kept.')).toBeVisible();
  // What was kept has left the grid; what cannot be stays, with its reason.
  await expect(page.getByLabel('Bo, right foot')).toHaveValue('');
  await expect(page.getByLabel('Amina, right foot')).toHaveValue('abc');
  await expect(page.getByText('Digits only.')).toBeVisible();
});

test('a page for parents is kind and exact, and holds nothing private', async ({ page }) => {
  await signedIn(page);
  await player(page, 'Sunniva');
  await page.getByLabel('Private note, for coaches and the club lead').fill('Only for us.');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await page.getByRole('link', { name: 'Print for parents' }).click();
  await expect(page.getByRole('heading', { name: 'Numbers of the season' })).toBeVisible();
  await expect(page.getByText('Only for us.')).toHaveCount(0);
  await expect(page.getByText(/stuck|worse/i)).toHaveCount(0);
  await expectAccessible(page);
  // One sheet of A4.
  await page.emulateMedia({ media: 'print' });
  const pdf = await page.pdf({ format: 'A4', margin: { top: '12mm', bottom: '12mm', left: '14mm', right: '14mm' } });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(1);
});

test('a week at home fits the place, and is kept as the coach leaves it', async ({ page }) => {
  await signedIn(page);
  await player(page, 'Rafi');
  await page.getByRole('link', { name: 'A week at home' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Rafi, at home' })).toBeVisible();
  await expect(page.getByText(/^Why: .*the rung to work on/).first()).toBeVisible();
  await page.getByLabel('Room').selectOption('a hallway, 1.2 by 4 m');
  await page.getByLabel('Must be quiet').selectOption('yes');
  await page.getByLabel('What for').selectOption('a day for the other foot');
  await expect(page.getByRole('heading', { name: 'The other foot only: day 2' })).toBeVisible();
  await expect(page.locator('.home-item', { hasText: 'Juggling' })).toHaveCount(0);
  // The address holds the wishes, what was taken out among them.
  expect(page.url()).toContain('space=hallway');
  const out = page.getByRole('button', { name: /^Take .* out$/ }).first();
  const name = ((await out.getAttribute('aria-label')) ?? '').slice('Take '.length, -' out'.length);
  await out.click();
  await expect(page.getByText(`Taken out: ${name}.`)).toBeVisible();
  await expect(page.getByRole('button', { name: `Take ${name} out` })).toHaveCount(0);
  await expect(page.getByText(/Nothing is kept yet|this is a proposal/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this week' }).click();
  await expect(page.getByText(/^Chosen by.*This is the week kept on/)).toBeVisible();
  // Kept, it is what stands there without a wish.
  expect(page.url()).not.toContain('?');
  await expect(page.getByLabel('Room')).toHaveValue('hallway');
  await expectAccessible(page);
});

test('a season ends and is let go on', async ({ page }) => {
  await signedIn(page);
  await page.goto('/season');
  await page.getByRole('button', { name: 'End this season' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('Give the season a name of at most 60 letters, such as Autumn 2026.')).toBeVisible();
  await page.getByLabel('Name of the season that ends').fill('Autumn by the quay');
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('Nothing yet. A session that has been run leaves its touches here.')).toBeVisible();
  await page.getByLabel('Season', { exact: true }).selectOption('Autumn by the quay');
  await expect(page.getByRole('heading', { level: 1, name: 'Autumn by the quay' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Ball mastery: week \d/ })).toBeVisible();
  await page.getByRole('button', { name: 'Let it go on' }).click();
  await page.goto('/season');
  await expect(page.getByRole('heading', { level: 1, name: 'The season so far' })).toBeVisible();
  await expect(page.getByText('Receive on the far foot took longer')).toBeVisible();
});

test('on a phone the squad is read drill by drill, and ranked only where the coach asks', async ({ page }) => {
  await page.setViewportSize(phone);
  await signedIn(page);
  await page.goto('/squad');
  await page.getByLabel('Drill').selectOption({ label: 'Gate to gate, reps in 60 s' });
  const names = () => page.locator('.board tbody th').allTextContents();
  await expect(page.getByRole('row', { name: /^Yui/ })).toContainText('better lately');
  const before = await names();
  expect(before).toEqual([...before].sort());
  await page.getByRole('button', { name: 'Rank by left foot: for you, not for the children' }).click();
  expect(await names()).not.toEqual(before);
  await expectAccessible(page);
});
