import { expect, test } from '@playwright/test';
import { signedIn } from './support';

test('two saw another number: both are shown, one is chosen, and what was said stays readable', async ({ page }) => {
  await signedIn(page);
  await page.goto('/player/1');
  const line = page.locator('.folded > li', { hasText: 'seen otherwise' });
  await expect(line).toHaveCount(1);
  await line.locator('summary').first().click();
  await line.getByRole('link', { name: /Every try/ }).click();
  const open = page.locator('.rows > li', { hasText: 'Seen otherwise by two' });
  await expect(open).toHaveCount(1);
  await expect(open).toContainText('Mirela');
  await expect(open).toContainText('Joost');
  await open
    .getByRole('button', { name: /^Choose/ })
    .last()
    .click();
  await expect(page.getByText('Seen otherwise by two')).toHaveCount(0);
  await expect(page.getByText(/As Joost saw it\./)).toBeVisible();
  await expect(page.getByText(/\(replaced\)/).first()).toBeVisible();

  // The disputed one is let count; then it is voided, which needs a reason.
  await page.getByRole('button', { name: 'Let it count' }).click();
  await expect(page.getByText('Disputed, so it counts for nothing yet.')).toHaveCount(0);
  await page
    .getByRole('button', { name: /^Correct .*try 3/ })
    .first()
    .click();
  await page.getByLabel('What is right?').selectOption('void');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Say why in a few words')).toBeVisible();
  await page.getByLabel('Why').fill('Counted with the hand.');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/Counted with the hand\./)).toBeVisible();

  await page.getByRole('link', { name: 'Amina' }).click();
  await page.getByText('Who changed what').click();
  await expect(page.getByText(/Mirela made a try void.*Counted/)).toBeVisible();
});

test('a private note is kept, and an absurd number is refused where it was typed', async ({ page }) => {
  await signedIn(page);
  await page.goto('/player/2');
  await page.getByLabel('Private note, for coaches and the club lead').fill('Likes to be shown, not told.');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByRole('button', { name: 'Keep the note' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Private note, for coaches and the club lead')).toHaveValue('Likes to be shown, not told.');

  await page.locator('.folded > li summary').first().click();
  await page
    .getByRole('link', { name: /Every try/ })
    .first()
    .click();
  await page
    .getByRole('button', { name: /^Correct/ })
    .first()
    .click();
  await page.getByLabel(/^Number,/).fill('5000');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/must be between/)).toBeVisible();
  await expect(page.getByLabel(/^Number,/)).toHaveValue('5000');
});

test('erasing asks for the name and then really erases', async ({ page }) => {
  await signedIn(page);
  await page.goto('/squad');
  await page.getByRole('button', { name: 'Add a player' }).click();
  await page.getByLabel('First name').fill('Emeka');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('link', { name: 'Emeka' }).click();
  await page.getByRole('button', { name: 'Erase Emeka with every number' }).click();
  await expect(page.getByRole('button', { name: 'Erase', exact: true })).toBeDisabled();
  await page.getByLabel('Type Emeka to go on').fill('Emeka');
  await page.getByRole('button', { name: 'Erase', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Slipway Under-12' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Emeka' })).toHaveCount(0);
});

test('twelve phones at once: every number counts, and each once', async ({ page }) => {
  await signedIn(page);
  await page.goto('/player/3');
  await page.locator('.folded > li summary').first().click();
  await page
    .getByRole('link', { name: /Every try/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'What counts' })).toBeVisible();
  const [, playerId = '', lineKey = ''] = /player\/(\d+)\/line\/(\w+)/.exec(page.url()) ?? [];
  const path = `/api/v1/players/${playerId}/lines/${lineKey}`;
  // Each a request of its own, all on their way together; every one is sent twice.
  const { statuses, tries } = await page.evaluate(
    async ({ path, playerId, lineKey }) => {
      interface Answer {
        tries: { sessionId: number; tryNumber: number; marks: unknown[] }[];
        results: { status: string }[];
      }
      const read = async (response: Response) => (await response.json()) as Answer;
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
      const { sessionId } = (await read(await fetch(path))).tries[0] ?? { sessionId: 0 };
      const send = (uuid: string, tryNumber: number) =>
        fetch('/api/v1/marks', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
          body: JSON.stringify({
            marks: [{ uuid, playerId: Number(playerId), sessionId, lineKey, tryNumber, value: 5, recordedAt: new Date().toISOString() }],
          }),
        }).then(read);
      const sent = Array.from({ length: 12 }, (_, i) => ({ uuid: crypto.randomUUID(), tryNumber: 100 + i }));
      const answers = await Promise.all([...sent, ...sent].map(({ uuid, tryNumber }) => send(uuid, tryNumber)));
      return {
        statuses: answers.map(({ results }) => results[0]?.status ?? 'nothing').sort(),
        tries: (await read(await fetch(path))).tries.filter((one) => one.sessionId === sessionId && one.tryNumber >= 100).map((one) => one.marks.length),
      };
    },
    { path, playerId, lineKey },
  );
  expect(statuses).toEqual([...Array<string>(12).fill('accepted'), ...Array<string>(12).fill('duplicate')]);
  expect(tries).toEqual(Array<number>(12).fill(1));
  const standing = await page.evaluate(
    async (path) => (await (await fetch(path)).json()) as { standing: { days: { on: string; tries: number }[] }; tries: { on: string }[] },
    path,
  );
  const last = standing.standing.days.at(-1);
  expect(last?.tries).toBe(standing.tries.filter((one) => one.on === last?.on).length);
});
