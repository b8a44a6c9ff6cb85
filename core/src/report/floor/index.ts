export { chalkSheet } from './chalk-sheet.ts';
export { cutSheet, rollSheet } from './cut-sheets.ts';
export { daySheet, shoppingSheet } from './day-sheets.ts';
export { rampSheet } from './ramp-sheet.ts';
export { type FloorPaperOf } from './sheet-of.ts';
export { stationSheet } from './station-sheet.ts';
