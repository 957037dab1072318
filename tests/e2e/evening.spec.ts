import { expect, test, type Page } from '@playwright/test';
import { addDrill, keepChanges, lead, linkOf, newSession, opened, phone, phoneAtHome, runLink, runUntil, signedIn, write } from './support';

interface Counted {
  left: number;
  right: number;
}

/** What each of the squad has counted with each foot so far, by name. */
async function countedOf(page: Page, squadId?: number): Promise<Record<string, Counted>> {
  const { squads } = (await (await page.request.get('/api/v1/me')).json()) as { squads: { id: number }[] };
  const { players } = (await (await page.request.get(`/api/v1/squads/${squadId ?? squads[0]?.id ?? 0}`)).json()) as { players: { id: number; name: string }[] };
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

// The round home and back: one press for the weeks, one for the pages, each on a phone of their own without a network, one press to confirm.
for (const size of [1, 2, 7, 14])
  test(`@slow a day at home with ${size}: kept, practised, sent, confirmed, and found again in the season`, async ({ page, browser, baseURL }) => {
    await signedIn(page, lead);
    const { id } = (await (await write(page, 'club/squads', { name: `At home with ${size}`, ageGroup: 'U11' })).json()) as { id: number };
    const names = Array.from({ length: size }, (_, i) => `Bib ${i + 1}`);
    for (const name of names) expect((await write(page, `squads/${id}/players`, { name, strongFoot: 'R' })).ok()).toBe(true);
    await page.addInitScript((squad) => localStorage.setItem('squad', String(squad)), id);
    await page.goto('/squad/home');
    await page.getByRole('button', { name: 'A week for everybody' }).click();
    await page.getByRole('button', { name: 'Make and keep the weeks' }).click();
    await page.getByRole('button', { name: 'Open pages' }).click();
    const players = size === 1 ? '1 player' : `${size} players`;
    await expect(page.getByText(`${players} of ${size} with a week, ${size} with an open page.`)).toBeVisible();

    const practised: Record<string, Counted> = {};
    for (const [i, name] of names.entries()) {
      const link = await linkOf(page, name);
      // One drill is the coach's own wish.
      await page.getByLabel('Choose a drill for the week').selectOption({ label: 'Sole taps' });
      await page.getByRole('button', { name: 'Keep this week' }).click();
      await expect(page.getByText(/This is the week kept on/)).toBeVisible();
      const home = await phoneAtHome(browser, baseURL);
      await home.page.goto(link);
      await expect(home.page.getByRole('button', { name: 'Start the timer' })).toBeVisible();
      await home.context.setOffline(true);
      const card = await opened(home.page, 'Sole taps');
      practised[name] = { left: 20 + i, right: 20 + i };
      await card.getByRole('textbox').fill(String(20 + i));
      await card.getByRole('button', { name: 'Write down' }).click();
      await expect(home.page.getByText('1 kept here, not sent yet')).toBeVisible();
      await home.context.setOffline(false);
      await expect(home.page.getByText('All sent')).toBeVisible();
      await home.context.close();
    }

    await page.goto('/squad/home');
    const waiting = page.getByRole('region', { name: 'From home' });
    await expect(waiting.getByRole('listitem')).toHaveCount(size);
    await waiting.getByRole('button', { name: size === 1 ? 'Confirm' : `Confirm all ${size}`, exact: true }).click();
    await expect(page.getByText('Nothing from home waits for your word.')).toBeVisible();
    // A rep is a touch with either foot.
    await expect.poll(() => countedOf(page, id)).toMatchObject(practised);
  });
