import { expect, test, type Page } from '@playwright/test';
import { addDrill, keepChanges, newSession, phone, runLink, runUntil, signedIn } from './support';

interface Counted {
  left: number;
  right: number;
}

/** What each of the squad has counted with each foot so far, by name. */
async function countedOf(page: Page): Promise<Record<string, Counted>> {
  const { squads } = (await (await page.request.get('/api/v1/me')).json()) as { squads: { id: number }[] };
  const { players } = (await (await page.request.get(`/api/v1/squads/${squads[0]?.id ?? 0}`)).json()) as { players: { id: number; name: string }[] };
  const counted: Record<string, Counted> = {};
  for (const { id, name } of players) {
    const { touches } = (await (await page.request.get(`/api/v1/players/${id}`)).json()) as { touches: { counted: Counted } };
    counted[name] = touches.counted;
  }
  return counted;
}

// The whole evening on a phone, for every size of group: what was typed at the pitch is what the season says, player by player.
for (const size of [1, 2, 7, 14])
  test(`@slow an evening with ${size}: planned, run, written down, closed, and found again in the season`, async ({ page }) => {
    await page.setViewportSize(phone);
    await signedIn(page);
    const before = await countedOf(page);
    await newSession(page, `An evening with ${size}`, size);
    await addDrill(page, 'Sole taps');
    await keepChanges(page);
    await runLink(page).click();
    await page.getByRole('button', { name: 'Start' }).click();
    await runUntil(page, /Feet in turn: Sole taps|Work: Sole taps/);
    await page.getByRole('button', { name: /^Numbers: / }).click();
    const names = await page.locator('.roll label').allInnerTexts();
    expect(names).toHaveLength(size);
    for (const [i, name] of names.entries()) {
      await expect(page.getByRole('textbox', { name, exact: true })).toBeFocused();
      await page.keyboard.type(String(20 + i));
      await page.keyboard.press('Enter');
    }
    await expect(page.getByText('all numbers sent')).toBeVisible();
    await page.keyboard.press('Enter');
    await runUntil(page, /That was the session/);
    const closed = page.waitForResponse((answer) => answer.url().endsWith('/run') && answer.request().method() === 'PUT' && answer.ok());
    await page.getByRole('button', { name: 'Close the session' }).click();
    await closed;

    // Each rep is a touch with either foot, and twenty and so many were written: nobody else has one more.
    await expect
      .poll(async () => {
        const after = await countedOf(page);
        return Object.fromEntries(
          Object.entries(after).flatMap(([name, { left, right }]) => {
            const more = [left - (before[name]?.left ?? 0), right - (before[name]?.right ?? 0)];
            return more[0] === 0 && more[1] === 0 ? [] : [[name, more]];
          }),
        );
      })
      .toEqual(Object.fromEntries(names.map((name, i) => [name, [20 + i, 20 + i]])));
  });
