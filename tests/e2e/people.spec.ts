import { expect, test } from '@playwright/test';
import { coach, enter, expectAccessible, lead, signedIn, signIn } from './support';

test('the lead invites somebody, who comes in by the link and is taken off again', async ({ page, browser }) => {
  await signIn(page, lead);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByLabel('Their e-mail').fill('not an address');
  await page.getByRole('button', { name: 'Make the link' }).click();
  await expect(page.getByText('Enter the e-mail address of the person.')).toBeVisible();
  await expect(page.getByLabel('Their e-mail')).toHaveValue('not an address');
  await page.getByLabel('Their e-mail').fill('sione@heron-quay.example');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = await page.getByLabel('Link to hand over').inputValue();
  await expect(page.getByText('sione@heron-quay.example, assistant of Slipway Under-12')).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await other.goto(link);
  await expect(other.getByText('A place as assistant of Slipway Under-12, for sione@heron-quay.example.')).toBeVisible();
  await expectAccessible(other);
  await other.getByLabel('Your name, as the squad calls you').fill('Sione');
  await other.getByLabel('Choose a password').fill('short');
  await other.getByRole('button', { name: 'Take the place' }).click();
  await expect(other.getByText('At least 10 letters.')).toBeVisible();
  await expect(other.getByLabel('Your name, as the squad calls you')).toHaveValue('Sione');
  await other.getByLabel('Choose a password').fill('three plain words');
  await other.getByRole('button', { name: 'Take the place' }).click();
  await expect(other.getByRole('heading', { name: 'Running order' })).toBeVisible();

  const again = await (await browser.newContext()).newPage();
  await again.goto(link);
  await expect(again.getByRole('heading', { name: 'This link opens nothing' })).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Change Sione' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take off the staff' }).click();
  // The button is hidden as soon as it is asked about: only the answer says that Sione is off.
  const off = page.waitForResponse((answer) => answer.request().method() === 'DELETE');
  await page.getByRole('button', { name: 'Yes, take Sione off the staff' }).click();
  expect((await off).status()).toBe(204);
  await expect(page.getByRole('button', { name: 'Change Sione' })).toBeHidden();
  // At the next request Sione is out.
  await other.getByRole('link', { name: 'Squad' }).click();
  await expect(other.getByRole('dialog', { name: 'Sign in again to go on' })).toBeVisible();
});

test('a forgotten password: asked for at the door, handed over by the lead, set once', async ({ page, browser }) => {
  const door = await (await browser.newContext()).newPage();
  await door.goto('/');
  await door.getByRole('button', { name: 'Password forgotten?' }).click();
  await door.getByLabel('Your e-mail, for a new password').fill('younger@heron-quay.example');
  await door.getByRole('button', { name: 'Ask for a link' }).click();
  await expect(door.getByText('Ask your club lead for a link')).toBeVisible();

  await signedIn(page, lead);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Reset link for Oyelaran' }).click();
  const link = await page.getByLabel('Link to hand over').inputValue();
  await door.goto(link);
  await expect(door.getByText('For Oyelaran, younger@heron-quay.example.')).toBeVisible();
  await expectAccessible(door);
  await door.getByLabel('New password').fill('a quite new one');
  await door.getByRole('button', { name: 'Set it' }).click();
  await expect(door.getByRole('heading', { name: 'The new password holds' })).toBeVisible();
  await door.goto(link);
  await expect(door.getByText('This link is no longer good.')).toBeVisible();
  await enter(door, { email: 'younger@heron-quay.example', password: 'a quite new one' });
  await expect(door.getByRole('heading', { name: /coming$/ })).toBeVisible();
});

test('a lost phone is signed out from another device', async ({ page, browser }) => {
  const phone = await (await browser.newContext()).newPage();
  await signIn(phone, coach);
  await signedIn(page, coach);
  await page.goto('/settings');
  await expect(page.getByText('(this one)')).toBeVisible();
  // Every other device of the coach: those of tests before stand here too.
  const others = page.getByRole('button', { name: /^Sign out / });
  for (let left = await others.count(); left > 0; left--) {
    await others.first().click();
    await expect(others).toHaveCount(left - 1);
  }
  await phone.goto('/squad');
  await expect(phone.getByLabel('E-mail')).toBeVisible();
  await page.goto('/squad');
  await expect(page.getByRole('row', { name: /Amina/ })).toBeVisible();
});
