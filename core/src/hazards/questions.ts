import { say } from '../said/index.ts';
import { oneOf, orNull, question, whole } from '../fields/index.ts';

const seen = (name: string) => question(name, oneOf('none', 'seen', 'made-safe'));

/** Dangers seen in the room that close it, each asked under a name of its own. */
export const SITE_HAZARDS = {
  'site/sewage': {
    words: say('hazards.siteHazardsSiteSewage'),
    decides: say('hazards.siteHazardsSiteSewageDecides'),
  },
  'site/droppings': {
    words: say('hazards.siteHazardsSiteDroppings'),
    decides: say('hazards.siteHazardsSiteDroppingsDecides'),
  },
  'site/needles': {
    words: say('hazards.siteHazardsSiteNeedles'),
    decides: say('hazards.siteHazardsSiteNeedlesDecides'),
  },
  'site/mould': {
    words: say('hazards.siteHazardsSiteMould'),
    decides: say('hazards.siteHazardsSiteMouldDecides'),
  },
  'site/gas': {
    words: say('hazards.siteHazardsSiteGas'),
    decides: say('hazards.siteHazardsSiteGasDecides'),
  },
  'site/crawl': {
    words: say('hazards.siteHazardsSiteCrawl'),
    decides: say('hazards.siteHazardsSiteCrawlDecides'),
  },
  'site/debris': {
    words: say('hazards.siteHazardsSiteDebris'),
    decides: say('hazards.siteHazardsSiteDebrisDecides'),
  },
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
