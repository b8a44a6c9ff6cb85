import '@testing-library/jest-dom';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Listen } from './listen.tsx';

/** The instrument's end of the line: what is sent here reaches the screen. */
class Line {
  static open: Line[] = [];
  closed = false;
  private hear: Record<string, (event: unknown) => void> = {};
  constructor(readonly url: string) {
    Line.open.push(this);
  }
  addEventListener(kind: string, hear: (event: unknown) => void): void {
    this.hear[kind] = hear;
  }
  close(): void {
    this.closed = true;
  }
  send(kind: string, data: object = {}): void {
    act(() => this.hear[kind]!({ data: JSON.stringify(data) }));
  }
}

const held = jest.fn();
beforeEach(() => {
  Line.open = [];
  held.mockClear();
  (globalThis as { EventSource?: unknown }).EventSource = Line;
});

async function listening() {
  const user = userEvent.setup({ pointerEventsCheck: 0 });
  const view = render(
    <Listen
      name="hygrometer"
      words="the hygrometer"
      room={{ id: 'room 1' }}
      at={{ xMm: 10.4, yMm: 20 }}
      shows={(value) => `${value.toFixed(1)} %RH`}
      onHold={held}
    />,
  );
  expect(Line.open).toHaveLength(0);
  await user.click(screen.getByLabelText('Listen to the hygrometer'));
  return { user, view, line: Line.open[0]! };
}

test('nothing is asked of an instrument until it is listened to; then for its room and place', async () => {
  const { line } = await listening();
  expect(line.url).toBe('/api/instruments/hygrometer?room=room%201&x=10&y=20');
  expect(screen.getByLabelText(/^Connecting/)).toHaveAttribute('aria-disabled', 'true');
});

test('what the key shows is what is held, to a tenth', async () => {
  const { user, line } = await listening();
  line.send('value', { value: 52.349, tempC: 18.051, batteryPct: 80 });
  await user.click(screen.getByLabelText(/^Hold 52.3 %RH/));
  expect(held).toHaveBeenCalledWith(52.3, 18.1);
});

test.each([
  ['error', /^No connection: key it/],
  ['flat', /^Battery flat: key it/],
])('%s: nothing can be held and the key says why', async (kind, words) => {
  const { user, line } = await listening();
  line.send('value', { value: 50, tempC: null, batteryPct: 5 });
  line.send(kind);
  const key = screen.getByLabelText(words);
  expect(key).toHaveAttribute('aria-disabled', 'true');
  await user.click(key);
  expect(held).not.toHaveBeenCalled();
});

test('leaving the screen, or no longer listening, hangs up', async () => {
  const { user, view, line } = await listening();
  await user.click(screen.getByLabelText('Stop listening'));
  expect(line.closed).toBe(true);
  await user.click(screen.getByLabelText('Listen to the hygrometer'));
  view.unmount();
  expect(Line.open[1]!.closed).toBe(true);
});
