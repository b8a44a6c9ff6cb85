import { expect, test } from '@playwright/test';
import { accessible } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

test('packs bought are found by their batch and by what is in them', async ({ page }) => {
  const body = {
    ...{ jobId: 'demo-sluice-house', productId: 'compound/patching', batch: 'L 2207', useBy: '2027-03-01', note: '' },
    ...{ boughtOn: '2026-11-20', bought: 4, opened: 1, planned: 3 },
    ...{ baseVersion: 0, writeId: 'search-packs-1', deleted: false },
  };
  const answer = await fetch(`${running.url}/api/packCounts/search-packs`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(answer.status).toBe(201);
  await page.goto(`${running.url}/search`);
  const hits = page.getByTestId('hits').getByRole('listitem');
  await page.getByRole('textbox', { name: 'Find in all jobs' }).fill('where did we use batch L 2207');
  // The demo has levelled with this batch too: both are found, each where it was entered.
  await expect(hits.filter({ hasText: 'Levelling done' })).toHaveCount(1);
  await expect(hits.filter({ hasText: 'Packs bought' })).toContainText(/Batch: L 2207.*Sluice House.*patch/i);
  await accessible(page);
  await page.getByRole('textbox', { name: 'Find in all jobs' }).fill('patching packs');
  await hits.first().getByRole('button').click();
  await page.waitForURL(/\/jobs\/demo-sluice-house\/buy$/);
});

test('what was entered is found by a few words over all jobs, without a signal too, and opened where it is', async ({
  page,
  context,
}) => {
  await page.goto(running.url);
  await page.getByRole('button', { name: /^Find/ }).click();
  await page.waitForURL(/\/search$/);
  const field = page.getByRole('textbox', { name: 'Find in all jobs' });
  const hits = page.getByTestId('hits').getByRole('listitem');
  await expect(page.getByRole('status').filter({ hasText: /entries of 2 jobs/ })).toBeVisible();
  await field.fill('carbide reading room');
  await expect(hits.first()).toContainText(/Fennimore Hall/);
  await accessible(page);
  await context.setOffline(true);
  await field.fill('laminate');
  await expect(hits.first()).toContainText(/Laminate/);
  await field.fill('laminate of the moon');
  await expect(page.getByText(/^Nothing is found with all of these words/)).toBeVisible();
  await expect(hits).toHaveCount(0);
  await context.setOffline(false);
  await field.fill('herringbone');
  await hits.first().getByRole('button').click();
  await page.waitForURL(/\/rooms\/demo-reading-room\/lay$/);
});
