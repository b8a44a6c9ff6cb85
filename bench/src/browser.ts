import { chromium, type Browser } from '@playwright/test';

/** Chromium as the benchmarks and the end-to-end tests run it. */
export function openBrowser(): Promise<Browser> {
  return chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}

export type Put = (path: string, body: object) => Promise<void>;

/** Writes a fact to a server of the benchmark's own, or says why it was refused. */
export function putTo(base: string): Put {
  return async (path, body) => {
    const answer = await fetch(`${base}${path}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  };
}
