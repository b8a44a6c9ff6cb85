import { expect, test } from '@playwright/test';
import { serve, type Running } from './app.ts';

/**
 * One server for all tests of a file. Each leaves it as its page shows it: what a page has not sent yet goes with the page,
 * and the next test would find the server half-way.
 */
export function shareServer(demo = true): Running {
  let served: Running | null = null;
  const running = (): Running => {
    if (!served) throw new Error('The server is up from the first test on, not before');
    return served;
  };
  test.beforeAll(async () => {
    served = await serve(demo);
  });
  test.beforeEach(async ({ context }) => {
    const aheadMs = await running().aheadMs();
    // Only the date: timers, and how long things take, stay the browser's own.
    if (aheadMs !== 0)
      await context.addInitScript((ahead) => {
        const ofBrowser = Date;
        globalThis.Date = new Proxy(ofBrowser, {
          construct: (made, of) => Reflect.construct(made, of.length === 0 ? [ofBrowser.now() + ahead] : of) as Date,
          get: (made, name) => (name === 'now' ? () => made.now() + ahead : (Reflect.get(made, name) as unknown)),
        });
      }, aheadMs);
  });
  test.afterEach(async ({ context }, { status, expectedStatus }) => {
    if (status !== expectedStatus) return;
    for (const page of context.pages()) {
      const sending = page.getByTestId('sending');
      if ((await sending.count()) > 0) await expect(sending).toHaveText('all sent');
    }
  });
  test.afterAll(() => served?.close());
  return {
    get url() {
      return running().url;
    },
    aheadMs: () => running().aheadMs(),
    kill: () => running().kill(),
    start: () => running().start(),
    close: () => running().close(),
  };
}
