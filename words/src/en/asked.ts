/** What a field asks back: what stands in it, and what is taken. */
export const asked = {
  'asked.figures': '{min} to {max}{unit, select, none {} other { {unit}}}',
  'asked.lengths': '{min} to {max}',
  'asked.empty': 'Empty: {taken} is taken',
  'asked.noNumber': '“{text}” is no number: {taken} is taken{empty, select, yes {, or nothing} other {}}',
  'asked.noLength': '{why}: {taken} is taken{empty, select, yes {, or nothing} other {}}',
  'asked.notWhole': '{text} is not a whole number: {taken} is taken{empty, select, yes {, or nothing} other {}}',
  'asked.outOfRange': '{text} is out of range: {taken} is taken{empty, select, yes {, or nothing} other {}}',
  'asked.tooLong': '{count} characters: at most {most} are taken',
  'asked.emptyText': 'Empty: this is needed',
  'asked.noDay': '{text}: a day such as 2026-10-08 is taken{empty, select, yes {, or nothing} other {}}',
  'asked.noMoment': '“{text}”: year, month, day and time are taken, such as 2026-10-08 09:00',
  'asked.noZone': '“{text}” is no time zone: one such as Europe/London is taken, or nothing',
  'asked.notTaken': '“{text}” is not taken',
};
