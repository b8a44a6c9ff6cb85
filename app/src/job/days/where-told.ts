import type { JobStage } from '@maquette/core/planning';

/** The stage of a room in which a task is told and recorded. */
const STAGE_OF: Record<JobStage, string> = {
  order: 'lay',
  hazard: 'strip',
  heating: 'under',
  strip: 'strip',
  sound: 'sound',
  damp: 'damp',
  membrane: 'under',
  level: 'level',
  panels: 'under',
  lay: 'lay',
  end: 'heights',
  change: 'room',
};
const LABEL_OF: Record<string, string> = {
  lay: 'Lay',
  strip: 'Strip',
  under: 'Under',
  sound: 'Sound',
  damp: 'Damp',
  level: 'Level',
  flat: 'Flat',
  heights: 'Heights',
  room: 'Room',
};

/** Where a task is recorded; reading the floor is Flat's. */
export function whereTold(stage: JobStage, key: string): { stage: string; label: string } {
  const at = key.endsWith('/level/read') || key.endsWith('/level/again') ? 'flat' : STAGE_OF[stage];
  return { stage: at, label: LABEL_OF[at]! };
}
