import { expect, test } from '@playwright/test';
import { accessible, serve, type Running } from './app.ts';

let running: Running;
test.beforeAll(async () => {
  running = await serve();
});
test.afterAll(() => running.close());

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
