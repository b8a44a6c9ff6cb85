import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { accessible, newRoom, roomFacts, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const FIXTURES = join(dirname(fileURLToPath(import.meta.url)), '../fixtures');
const running = shareServer();

const openDamp = async (page: Page, room: string, tab?: string) => {
  await page.goto(`${running.url}/rooms/${room}/damp`);
  await expect(page.getByTestId('sheet')).toBeVisible();
  if (tab) await page.getByRole('button', { name: tab, exact: true }).click();
};

test('is it dry enough? from nothing: the guide names the test, a reading too soon is kept and does not count', async ({
  page,
}) => {
  const id = await newRoom(page, running.url, 'Lamp store', '3000', '2500');
  await openDamp(page, id);
  await expect(page.getByTestId('stage-verdict')).toHaveText('Measure');
  await expect(page.getByTestId('guide')).toContainText('In-slab probe: 0 of 3 read and valid');
  await expect(page.getByTestId('guide')).toContainText('not known until the slab’s thickness is');
  await page.getByRole('radio', { name: 'No sign of it' }).click();
  // Nobody has said whether the floor is heated: no hole is drilled before.
  await expect(page.getByTestId('gate')).toContainText('Whether the floor is heated is not recorded');
  await accessible(page);
  await page.getByRole('button', { name: 'The floor is not heated' }).click();
  await page.getByRole('textbox', { name: 'Thickness of the slab or screed' }).fill('120');
  await page.getByRole('textbox', { name: 'Thickness of the slab or screed' }).blur();
  await expect(page.getByTestId('guide')).toContainText('Depth: 48 mm, 40 % of the slab');
  await page.getByRole('button', { name: 'Set in-slab probe 1' }).click();
  const card = page.getByTestId('test-P1');
  await card.getByRole('textbox', { name: 'Probe reading, %RH' }).fill('184');
  await card.getByRole('textbox', { name: 'Probe reading, %RH' }).blur();
  await expect(card.getByRole('alert')).toContainText('184 is out of range: 10 to 100 %RH is taken');
  await card.getByRole('textbox', { name: 'Probe reading, %RH' }).fill('84,3');
  await card.getByRole('textbox', { name: 'Probe reading, %RH' }).blur();
  await card.getByRole('button', { name: 'Keep the reading' }).click();
  await expect(card).toContainText('read 0.0 h after the hole was sealed: it needs 24 h');
  await expect(page.getByTestId('due')).toContainText('In-slab probe P1');
  await expect.poll(async () => (await roomFacts(running.url, id)).dampReadings.map((r) => r.value)).toEqual([84.3]);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(card).toContainText('not read yet');
});

test(
  'the logger’s file comes in as it is: gap and excursion named, stored when taken, drawn over the bands',
  ONCE,
  async ({ page }) => {
    await openDamp(page, 'demo-cloakroom', 'Air');
    await expect(page.getByText('Nothing read yet.').first()).toBeVisible();
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Logger file' }).click();
    await (await choosing).setFiles(join(FIXTURES, 'climate-logger.csv'));
    const found = page.getByTestId('file-findings');
    await expect(found).toContainText('286 samples every 30 min');
    await expect(found).toContainText('Line 81 is not taken: the logger recorded nothing');
    await expect(found).toContainText('No samples');
    await expect(found).toContainText('Out of band');
    expect((await roomFacts(running.url, 'demo-cloakroom')).airLogs).toEqual([]);
    await page.getByRole('button', { name: 'Take it' }).click();
    await expect(page.getByTestId('air-now')).toContainText('16.0 °C');
    await expect(page.getByRole('slider', { name: /^Relative humidity, %RH: .* is asked for\. Read / })).toBeVisible();
    await expect
      .poll(async () => (await roomFacts(running.url, 'demo-cloakroom')).airLogs.map((l) => l.samples.length))
      .toEqual([286]);
    await accessible(page);
  },
);

test(
  'the probes’ file comes in as it is, and a forecast follows; the same file again adds nothing',
  ONCE,
  async ({ page }) => {
    const id = await newRoom(page, running.url, 'Net loft', '5400', '4200');
    await openDamp(page, id);
    for (const taken of [21, 0]) {
      const choosing = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Probe readings from a file', exact: true }).click();
      await (await choosing).setFiles(join(FIXTURES, 'slab-probes.csv'));
      await expect(page.getByTestId('file-findings')).toContainText('3 probes, 21 readings, slab 120 mm');
      await page.getByRole('button', { name: 'Take it' }).click();
      await expect(page.getByText(`Taken: ${taken} readings of 3 probes.`)).toBeVisible();
    }
    await expect.poll(async () => (await roomFacts(running.url, id)).dampReadings.length).toBe(21);
    await page.getByRole('button', { name: 'Drying', exact: true }).click();
    await expect(page.getByTestId('forecast-band')).toContainText('At 75 %RH between');
  },
);

test('the drying slab of the demo: a band, what changes it, the rule of thumb beside it, a way out chosen', async ({
  page,
}) => {
  await openDamp(page, 'demo-parlour');
  await expect(page.getByTestId('stage-verdict')).toHaveText('Work');
  await expect(page.getByTestId('criteria')).toContainText('8.8 over 75 %RH');
  await page.getByRole('button', { name: 'Drying', exact: true }).click();
  const band = page.getByTestId('forecast-band');
  await expect(band).toContainText('At 75 %RH between');
  // The chart is read by keys: the first reading, then what is to be expected.
  const chart = page.getByRole('slider', { name: /relative humidity, %RH, read and to come/ });
  await chart.focus();
  await page.keyboard.press('Home');
  await expect(chart).toHaveAttribute('aria-valuetext', /: read \d\d\.\d %RH$/);
  await page.keyboard.press('End');
  await expect(chart).toHaveAttribute('aria-valuetext', /to be expected/);
  await expect(page.getByText(/%RH to be expected/)).toBeVisible();
  await expect(page.getByTestId('rule-of-thumb')).toContainText('about 146 days');
  await accessible(page);
  const usual = await band.textContent();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /Room temperature from now on, higher/ }).click();
  await expect(band).not.toHaveText(usual!);
  await page.getByRole('button', { name: 'As it is', exact: true }).click();
  await expect(band).toHaveText(usual!);
  await page.getByRole('button', { name: 'Choose: surface membrane' }).click();
  await expect
    .poll(
      async () =>
        (await roomFacts(running.url, 'demo-parlour')).answers.find((a) => a.question === 'damp/way-out')?.answer,
    )
    .toBe('membrane');
  await page.getByRole('button', { name: 'Tests', exact: true }).click();
  await expect(page.getByTestId('criteria')).toContainText('A surface membrane is chosen');
});

test('an instrument’s value is held and kept as one from the pad', async ({ page }) => {
  await openDamp(page, 'demo-parlour');
  await page.getByRole('radio', { name: 'Survey meter' }).click();
  await page.getByRole('button', { name: /^S1\./ }).click();
  const card = page.getByTestId('test-S1');
  await card.getByRole('button', { name: 'Listen to the instrument' }).click();
  await card.getByRole('button', { name: /^Hold/ }).click();
  const held = Number(await card.getByRole('textbox', { name: 'Meter reading, %' }).inputValue());
  expect(held).toBeGreaterThan(1);
  await card.getByRole('button', { name: 'Keep the reading' }).click();
  await expect
    .poll(async () => (await roomFacts(running.url, 'demo-parlour')).dampReadings.some((r) => r.value === held))
    .toBe(true);
});

test('a shut hazard gate refuses the probe’s hole and says who decides', async ({ page }) => {
  await openDamp(page, 'demo-kitchen');
  await expect(page.getByTestId('gate')).toContainText('to decide');
});

test('the evidence is listed, a correction keeps what it replaced, and it goes out as CSV', ONCE, async ({ page }) => {
  await openDamp(page, 'demo-boot-room');
  await page.getByRole('button', { name: /^C1\./ }).click();
  await page.getByRole('button', { name: 'About this test' }).click();
  await page.getByRole('textbox', { name: 'Instrument' }).fill('Flask 3');
  await page.getByRole('textbox', { name: 'Instrument' }).blur();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the evidence (CSV)' }).click();
  const csv = readFileSync(await (await saving).path(), 'utf8');
  expect(csv).toContain('Carbide test C1,1.60 CM-%,counts');
  expect(csv).toContain('Flask 3');
  await accessible(page);
});

test('the reading that was replaced can still be read', ONCE, async ({ page }) => {
  await openDamp(page, 'demo-hall', 'Log');
  // The list draws what is near its top first: the newest reading is.
  const held = (await roomFacts(running.url, 'demo-hall')).dampReadings.sort((a, b) => (a.id < b.id ? 1 : -1))[0];
  await fetch(`${running.url}/api/rooms/demo-hall/dampReadings/${held!.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      testId: held!.testId,
      takenAt: held!.takenAt,
      value: 12.3,
      sampleG: null,
      tempC: held!.tempC,
      who: held!.who,
      note: '',
      baseVersion: held!.version,
      writeId: `corrected-${held!.version}`,
      deleted: false,
    }),
  });
  await page.reload();
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await expect(page.getByText(/corrected 1 time/)).toBeVisible();
  await page.getByRole('button', { name: /12\.6 %MC/ }).click();
  await page.getByRole('button', { name: 'What it replaced' }).click();
  await expect(page.getByText(new RegExp(`Version ${held!.version}, .*${held!.value}`))).toBeVisible();
});

test('in the log one line is found among many; on a wide screen it is a table to sort and to choose columns in', async ({
  page,
}) => {
  await openDamp(page, 'demo-hall', 'Log');
  const wide = page.viewportSize()!.width > 900;
  const rows = page.getByRole(wide ? 'row' : 'listitem').filter({ hasText: '%MC' });
  await expect.poll(() => rows.count()).toBeGreaterThan(2);
  await page.getByRole('textbox', { name: 'Find in log' }).fill('14.5');
  await expect(rows).toHaveCount(1);
  await expect(page.getByText(/^1 row of \d+$/)).toBeVisible();
  await accessible(page);
  await page.getByRole('textbox', { name: 'Find in log' }).fill('%mc');
  await expect(rows).not.toHaveCount(1);
  if (!wide) return;
  const head = page.getByRole('columnheader', { name: 'Value' });
  const values = () => page.getByRole('row').locator('[role=cell]:nth-child(2)').allTextContents();
  await page.getByRole('button', { name: 'Sort by value' }).click();
  await expect(head).toHaveAttribute('aria-sort', 'ascending');
  const up = await values();
  await page.getByRole('button', { name: 'Sort by value' }).click();
  await expect(head).toHaveAttribute('aria-sort', 'descending');
  expect(await values()).not.toEqual(up);
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('button', { name: 'Read by', exact: true }).click();
  await expect(page.getByRole('columnheader')).toHaveText(['What', /^Value/, 'When', 'Read by']);
  await accessible(page);
});
