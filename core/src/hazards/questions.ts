import { oneOf, orNull, question, whole } from '../fields/index.ts';

const seen = (name: string) => question(name, oneOf('none', 'seen', 'made-safe'));

/** Dangers seen in the room that close it, each asked under a name of its own. */
export const SITE_HAZARDS = {
  'site/sewage': { words: 'Sewage has been over this floor', decides: 'specialist cleaner' },
  'site/droppings': { words: 'Droppings of birds or rodents', decides: 'specialist cleaner' },
  'site/needles': { words: 'Needles or sharps', decides: 'specialist cleaner' },
  'site/mould': { words: 'Mould over more than 1 m²', decides: 'specialist cleaner' },
  'site/gas': { words: 'Smell of gas', decides: 'gas supplier: leave the building' },
  'site/crawl': { words: 'Work needs someone in the crawl space', decides: 'specialist for confined spaces' },
  'site/debris': { words: 'Suspect debris lies about', decides: 'licensed contractor: leave it, close the room' },
} as const;
export type SiteHazard = keyof typeof SITE_HAZARDS;
export const SITE_HAZARD_IDS = Object.keys(SITE_HAZARDS) as SiteHazard[];

/** Whether each of those dangers was seen. */
export const SITE = Object.fromEntries(SITE_HAZARD_IDS.map((id) => [id, seen(id)])) as Record<
  SiteHazard,
  ReturnType<typeof seen>
>;
/** Whether a suspended slab is tensioned. */
export const TENSION = question('site/tension', oneOf('unknown', 'none', 'post-tensioned'));
/** Whether pipes and cables of the heating are marked out. */
export const HEATING_LOCATED = question('site/heating-located', oneOf('no', 'yes'));
/** Year the painted trim was made; null: not known. */
export const TRIM_YEAR = question('trim/year', orNull(whole(1700, 2100, 'year')));
