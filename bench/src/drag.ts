import { openBrowser } from './browser.ts';

/** A wall pulled back and forth on the demo's kitchen: frames a second, plain and at 4x CPU throttle. */
const [base] = process.argv.slice(2);
const browser = await openBrowser();
const SECONDS = 4;

for (const throttle of [1, 4]) {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${base}/rooms/demo-kitchen/room`);
  await page.getByTestId('sheet').waitFor();
  await page.waitForTimeout(5000);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: throttle });
  const result = await page.evaluate(
    async ({ seconds }) => {
      const sheet = document.querySelector('[data-testid=sheet]')!;
      const box = sheet.getBoundingClientRect();
      // The middle of the wall farthest left, away from every fixture.
      const middles = [...sheet.querySelectorAll('circle[r="7"]')].map((c) => [
        Number(c.getAttribute('cx')),
        Number(c.getAttribute('cy')),
      ]);
      const [x, y] = middles.sort((a, b) => a[0]! - b[0]!)[0]!;
      const send = (type: string, dx: number) =>
        sheet.dispatchEvent(
          new PointerEvent(type, {
            pointerId: 1,
            buttons: 1,
            clientX: box.left + x! + dx,
            clientY: box.top + y!,
            bubbles: true,
          }),
        );
      (sheet as HTMLElement).setPointerCapture = () => undefined;
      send('pointerdown', 0);
      const frames: number[] = [];
      const started = performance.now();
      let last = started;
      const shapes = new Set<string>();
      await new Promise<void>((resolve) => {
        const step = (now: number) => {
          frames.push(now - last);
          last = now;
          shapes.add(sheet.querySelector('path')!.getAttribute('d')!);
          if (now - started > seconds * 1000) return resolve();
          send('pointermove', 22 * Math.sin((now - started) / 220));
          requestAnimationFrame(step);
        };
        requestAnimationFrame(step);
      });
      send('pointercancel', 0);
      return { frames: frames.slice(2), shapes: shapes.size };
    },
    { seconds: SECONDS },
  );
  const sorted = [...result.frames].sort((a, b) => a - b);
  const fps = (1000 * result.frames.length) / result.frames.reduce((sum, f) => sum + f, 0);
  console.log(
    `Wall pulled, ${throttle}x throttle: ${fps.toFixed(0)} frames a second, slowest twentieth ${sorted[Math.floor(sorted.length * 0.95)]!.toFixed(0)} ms a frame, ${result.shapes} shapes drawn in ${SECONDS} s`,
  );
  await page.close();
}
await browser.close();
