import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { LONG, accessible, coveredBy, roomFacts, takeBack, ONCE } from './app.ts';
import { shareServer } from './share-server.ts';

const running = shareServer();

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
const under = (page: Page, room: string) => page.goto(`${running.url}/rooms/${room}/under`);
test('what do I put under this laminate, and how many rolls: chosen, counted by Heights, cut for the van', async ({
  page,
}) => {
  await coveredBy(running.url, 'demo-cloakroom', 'shipped-laminate');
  await under(page, 'demo-cloakroom');
  const choose = page.getByTestId('choose');
  await expect(choose.getByTestId('stage-verdict')).toBeVisible(LONG);
  // What the room has to be made ready for first is told once, not with every option.
  await expect(choose.getByText('Whatever is laid, this comes first:')).toBeVisible();
  await accessible(page);
  const best = choose.locator('[data-testid^="option-"]').first();
  await best.getByRole('button', { name: /^How it scores/ }).click();
  await expect(best.getByText('Firmness')).toBeVisible();
  const before = await roomFacts(running.url, 'demo-cloakroom');
  await best.getByRole('button', { name: /^Lay this/ }).click();
  await expect(best.getByText('Chosen')).toBeVisible();
  const after = async () => await roomFacts(running.url, 'demo-cloakroom');
  await expect.poll(async () => (await after()).underChoices.length).toBe(before.underChoices.length + 1);
  const [choice] = (await after()).underChoices;
  expect(choice).toMatchObject({ panelId: null });
  // Heights counts it from the same press on.
  await expect.poll(async () => (await after()).buildUps.length).toBe(before.buildUps.length + 1);
  // The next press counts its rolls.
  await best.getByRole('button', { name: /^How many rolls/ }).click();
  await expect(page.getByTestId('rolls-count')).toHaveText(/\d rolls? of /, LONG);
  await expect(page.getByRole('img', { name: /numbered in the order in which they are laid/ })).toBeVisible();
  await accessible(page);
  await button(page, 'Cut card for the van').click();
  await expect(page.getByText(/^Roll \d: .*Cloakroom \d, /).first()).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent('download'), button(page, 'Save it as CSV').click()]);
  expect(readFileSync((await download.path())!, 'utf8')).toMatch(
    /^material,from,room,number,length_mm,width_mm\n[\s\S]*Cloakroom/,
  );
  // Taken back, both facts go at once.
  await takeBack(page);
  await expect.poll(async () => (await after()).underChoices.length).toBe(before.underChoices.length);
  await expect.poll(async () => (await after()).buildUps.length).toBe(before.buildUps.length);
});

test('panels over the boards of a wash house: one after another by two tapes, ticked, cut and fixed', async ({
  page,
}) => {
  await under(page, 'demo-hall-wash-house');
  await button(page, 'Panels').click();
  await expect(page.getByTestId('panels-count')).toHaveText(/5 sheets of plywood/, LONG);
  const next = page.getByTestId('panel-next');
  await expect(next.getByText('Panel 1 of 6, row 2')).toBeVisible();
  await accessible(page);
  await next.getByRole('button', { name: /^Fixed/ }).click();
  await expect(next.getByText('Panel 2 of 6, row 2')).toBeVisible();
  await next.getByRole('button', { name: 'Next' }).click();
  // The flange comes up through the third: a slot lets it slide under.
  await expect(next.getByText(/^Toilet.*: cut out .* with a slot of /)).toBeVisible();
  await button(page, 'Fixings').click();
  await expect(page.getByText(/20 mm long: three times the panel/)).toBeVisible();
  await page.getByRole('radio', { name: '50 and 100 mm', exact: true }).click();
  await expect(page.getByText(/^50 mm apart along every edge/)).toBeVisible(LONG);
  await button(page, 'Cut list by sheet').click();
  await expect(page.getByText(/^Sheet 1: /)).toBeVisible();
  await accessible(page);
});

test('boards over a damp crawl space: a film from above is refused, and covered ground cures it', async ({ page }) => {
  await under(page, 'demo-stack-room');
  await expect(page.getByTestId('option-shipped-foam/shipped-film').getByText(/^B7: /)).toBeVisible(LONG);
  await button(page, 'Year').click();
  await expect(page.getByText(/The wood gets too damp/)).toBeVisible();
  await expect(page.getByTestId('cure-cover-ground')).toContainText('no water comes together');
  await accessible(page);
  await button(page, 'Month by month').click();
  await expect(page.getByText(/%RH · room .*here /).first()).toBeVisible();
  // The ground is covered: said on Choose, and the year follows.
  await button(page, 'Choose').click();
  const asked = button(page, 'What the rules ask of this room');
  if ((await asked.getAttribute('aria-expanded')) !== 'true') await asked.click();
  await page.getByRole('radio', { name: 'Covered', exact: true }).click();
  await button(page, 'Year').click();
  await expect(page.getByText(/The wood comes to .*No water comes together/)).toBeVisible(LONG);
});

test('a heated floor: its days recorded, and a surface that is too warm stops the ramp', ONCE, async ({ page }) => {
  await under(page, 'demo-reading-room');
  await button(page, 'Heat').click();
  await expect(page.getByText('R 0.120 of 0.150 m²K/W over the heating')).toBeVisible(LONG);
  const after = page.getByTestId('heat-after');
  await after.getByRole('button', { name: /^Day 1 done: flow 18 °C/ }).click();
  await after.getByRole('button', { name: /^Days recorded/ }).click();
  const surface = after.getByRole('textbox', { name: /^Surface on day 1/ });
  await surface.fill('99');
  await surface.blur();
  await expect(after.getByText('99 is out of range: 0 to 60 °C is taken, or nothing')).toBeVisible();
  await surface.fill('28');
  await surface.blur();
  await expect(after.getByText('Over 27 °C: go back one step and wait a day.')).toBeVisible();
  await button(page, 'Choose').click();
  await expect(page.getByText(/the surface was at 28.0 °C: more than the covering takes/)).toBeVisible(LONG);
  await page.getByTestId('choose').waitFor();
});

test('a membrane is on once its last step is ticked, and not before', async ({ page }) => {
  await under(page, 'demo-parlour');
  await button(page, 'Coat').click();
  const epoxy = page.getByTestId('membrane-shipped-membrane-epoxy');
  await epoxy.getByRole('button', { name: /^Roll this on/ }).click();
  const steps = page.getByTestId('membrane-steps');
  await expect(steps.getByText(/What gets on the skin/)).toBeVisible();
  await steps.getByRole('checkbox', { name: /^Grind the base open/ }).click();
  await expect(steps.getByRole('checkbox', { name: /^Grind the base open/ })).toBeChecked();
  await accessible(page);
  // With its last step ticked Damp says that it is on; with one taken back it does not.
  for (const step of await steps.getByRole('checkbox').all())
    if (!(await step.isChecked())) {
      await step.click();
      await expect(step).toBeChecked();
    }
  await page.goto(`${running.url}/rooms/demo-parlour/damp`);
  await expect(page.getByText(/Epoxy membrane, two coats is on, rated up to 98 %RH/)).toBeVisible(LONG);
  await under(page, 'demo-parlour');
  await button(page, 'Coat').click();
  await steps.getByRole('checkbox', { name: /pin-holes/i }).click();
  await page.goto(`${running.url}/rooms/demo-parlour/damp`);
  await expect(page.getByText(/A surface membrane is chosen/)).toBeVisible(LONG);
});

test('cards of one’s own come in as a file, are refused by field and value, and stand among what may be chosen', async ({
  page,
}) => {
  await page.goto(`${running.url}/cards/under`);
  await button(page, 'Files of cards').click();
  const bring = async (name: string, text: string) => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), button(page, 'Bring in cards').click()]);
    await chooser.setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  };
  await bring('pads.json', '{"kind":"underlays","cards":[{"name":"Pad","thicknessMm":99}]}');
  await expect(page.getByText(/thicknessMm|is missing/).first()).toBeVisible();
  await button(page, 'Leave the file').click();
  const [saved] = await Promise.all([page.waitForEvent('download'), button(page, 'Save as CSV').click()]);
  const csv = readFileSync((await saved.path())!, 'utf8');
  const [head, first] = csv.split('\r\n');
  await bring('pads.csv', `${head}\n${first!.replace('Thin firm foam', 'Lock side pad')}`);
  await button(page, /^Take/).click();
  await expect(page.getByText('1 card taken from pads.csv. Undo takes them back.')).toBeVisible();
  await expect(page.getByText('Lock side pad')).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Edit. Lock side pad' }).click();
  const kPa = page.getByRole('textbox', { name: /^Pressure at half a millimetre/ });
  await kPa.fill('4000');
  await kPa.blur();
  await expect(page.getByText(/4000 is out of range: 1/)).toBeVisible();
  await kPa.fill('250');
  await kPa.blur();
  await accessible(page);
  await under(page, 'demo-parlour');
  await expect(
    page
      .locator('[data-testid^="option-"]')
      .getByText(/^Lock side pad/)
      .first(),
  ).toBeVisible(LONG);
});
