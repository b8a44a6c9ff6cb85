import { readOut } from '@maquette/words';
import { fixtureProblem, newFixture, outlineOf, rectangleWalls, setOnWall, type FixtureKind } from './index.ts';

const walls = rectangleWalls(1500, 3000);
const { corners } = outlineOf(walls);
const stood = (kind: FixtureKind, widthMm: number, alongMm: number, offMm = 0) =>
  setOnWall(corners, { ...newFixture('f', kind, { xMm: 0, yMm: 0 }, 0), widthMm }, { wall: 0, alongMm, offMm }, true);

test.each([
  ['a bath as wide as its wall', stood('bath', 1500, 0), null],
  ['a tape’s error over it', stood('bath', 1525, 0), null],
  ['a bath too wide for its wall', stood('bath', 1700, 0), '1.7 m wide, but of the 1.5 m of W1 only 1.5 m are left'],
  ['a cabinet that starts too far along', stood('cabinet', 600, 1000), 'reaches 100 mm out of the room at W2'],
  ['a cabinet set back into the wall', stood('cabinet', 600, 100, -200), 'reaches 200 mm out of the room'],
  ['a hearth whose back is the wall’s', stood('hearth', 1200, 100, -150), null],
  ['a hearth outside the room', stood('hearth', 1200, 100, -900), 'out of the room'],
])('%s', (_, fixture, words) => {
  const problem = fixtureProblem(corners, walls, fixture);
  if (words === null) expect(problem).toBeNull();
  else expect(readOut(problem)).toContain(words);
});
