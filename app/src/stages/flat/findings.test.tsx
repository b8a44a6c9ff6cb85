import '@testing-library/jest-dom';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { assessRoom, pictureOf, roomSet } from '@maquette/core';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { type EdgeWalk } from '@maquette/core/flat';
import { Actions } from '../../room/actions.tsx';
import { Findings } from './findings.tsx';
import { nextActions } from './next-actions.ts';
import { HELD_EDGES, INVENTED_ROOM as room, inventedDip } from '../../data/invented-room.ts';
import { shownIn } from '../../ui/invented-units.tsx';

const card = SHIPPED_CARDS[0]!;

function judged(depthMm: number, units: 'metric' | 'imperial' = 'metric', edgeWalks: EdgeWalk[] = []) {
  const own = { ...room, units };
  const assessment = assessRoom(
    roomSet(own, card, { ...inventedDip(depthMm), edgeWalks }),
    '2026-05-04T12:00:00.000Z',
    {
      parts: ['strip', 'flat'],
    },
  );
  return { own, picture: pictureOf(assessment, own) };
}

function show(depthMm: number, units: 'metric' | 'imperial' = 'metric', edgeWalks: EdgeWalk[] = []) {
  const { own, picture } = judged(depthMm, units, edgeWalks);
  const onShow = jest.fn();
  const onSet = jest.fn();
  const onPlan = jest.fn();
  render(
    <>
      <Findings room={own} card={card} picture={picture} schools={[]} shown={0} onShow={onShow} onSet={onSet} />
      <Actions
        actions={nextActions(
          picture,
          () => undefined,
          onPlan,
          () => undefined,
        )}
      />
    </>,
    shownIn(units),
  );
  return { picture, onShow, onPlan, user: userEvent.setup() };
}

test('over the rule: word, margin, place, rule, section, low by name, and the way to the plan', async () => {
  const { picture, onPlan, user } = show(9);
  const over = picture.rules[0]!.overMm;
  expect(over).toBeGreaterThan(0);
  expect(screen.getByTestId('verdict')).toHaveTextContent('Work');
  expect(screen.getByTestId('margin')).toHaveTextContent(`${Math.round(over * 10) / 10} over`);
  expect(screen.getByRole('img', { name: /Section through the floor/ })).toBeInTheDocument();
  expect(screen.getByText(/Low: leaves/)).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Plan the levelling' }));
  expect(onPlan).toHaveBeenCalled();
});

test('inside the rule it is tried before it is laid', () => {
  show(0.5);
  expect(screen.getByTestId('verdict')).toHaveTextContent('Measure');
  expect(screen.getByText(/Try to break it first: lay the 2 m edge in 3 places/)).toBeInTheDocument();
});

test('inside the rule and tried: lay, and what that does not say', () => {
  show(0.5, 'metric', HELD_EDGES);
  expect(screen.getByTestId('verdict')).toHaveTextContent('Lay');
  expect(screen.getByTestId('margin')).toHaveTextContent('inside');
  expect(screen.getByText(/It says what the readings show, not what lies between/)).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Plan the levelling' })).toBeNull();
});

test('the reason names rule, readings, surface and what the stations cannot see', async () => {
  const { user } = show(9);
  await user.click(screen.getByRole('button', { name: /^Why / }));
  for (const words of [/from the card/, /one benchmark/, /universal kriging/, /widest circle without a reading/]) {
    expect(screen.getByText(words)).toBeInTheDocument();
  }
});

test('level is told apart from flat, with what the map stands on and where it stands on least', async () => {
  const { user } = show(9);
  await user.click(screen.getByRole('button', { name: 'Level, told apart from flat' }));
  expect(screen.getByText(/The floor leans/)).toBeInTheDocument();
  expect(screen.getByTestId('flatness-number')).toHaveTextContent(/Floor-flatness number \d/);
  await user.click(screen.getByRole('button', { name: 'What the map stands on' }));
  expect(screen.getByText('30 staff readings.')).toBeInTheDocument();
});

test('inches show no millimetre in the findings', () => {
  show(9, 'imperial');
  expect(screen.getByTestId('findings').textContent).not.toMatch(/\d ?mm\b/);
});
