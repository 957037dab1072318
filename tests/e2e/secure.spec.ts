import { readFileSync } from 'node:fs';
import { get } from 'node:https';
import type { IncomingMessage } from 'node:http';
import { expect, test } from '@playwright/test';
import { coach } from './support';

const address = process.env.SPARROW_SECURE_URL ?? '';
test.skip(address === '', 'Only where the server listens with a certificate: ./sparrow test browser.');

const answer = (path: string, ca: string | undefined): Promise<IncomingMessage> =>
  new Promise((resolve, reject) => {
    get(`${address}${path}`, { ca, agent: false }, (response) => {
      response.resume();
      resolve(response);
    }).on('error', reject);
  });

test('the certificate holds for whoever trusts the authority, and for nobody else', async () => {
  const ca = readFileSync(process.env.SPARROW_CA ?? '', 'utf8');
  expect((await answer('/up', ca)).statusCode).toBe(200);
  expect((await answer('/sparrow-ca.crt', ca)).headers['content-type']).toBe('application/x-x509-ca-cert');
  await expect(answer('/up', undefined)).rejects.toThrow(/certificate/);
});

test('over HTTPS the page is a secure context and its cookies stay there', async ({ browser }) => {
  const context = await browser.newContext({ ignoreHTTPSErrors: true });
  const page = await context.newPage();
  await page.goto(address);
  await page.getByLabel('E-mail').fill(coach.email);
  await page.getByLabel('Password').fill(coach.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Running order' })).toBeVisible();
  expect(await page.evaluate(() => [window.isSecureContext, 'serviceWorker' in navigator, 'wakeLock' in navigator])).toEqual([true, true, true]);
  const cookies = await context.cookies();
  const session = cookies.find(({ name }) => name === 'fleet_sparrow_session');
  expect(session).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Lax' });
  expect(cookies.every(({ secure }) => secure)).toBe(true);
});
