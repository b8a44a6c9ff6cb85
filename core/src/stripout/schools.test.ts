import { DAMP_QUESTIONS } from '../damp/index.ts';
import { SCHOOL, SCHOOL_IDS, SCHOOLS } from './index.ts';

test('what is offered for a question is what it takes, no more and no less', () => {
  for (const id of SCHOOL_IDS) {
    expect(SCHOOL[id].question).toBe(id);
    expect(SCHOOL[id].takes.spec).toEqual({ type: 'choice', of: Object.keys(SCHOOLS[id].options) });
  }
  for (const { asked, options } of DAMP_QUESTIONS)
    expect(asked.takes.spec).toEqual({ type: 'choice', of: options.map(([value]) => value) });
});
