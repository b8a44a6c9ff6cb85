import type { RoomAssessment } from '../assess/assess-room.ts';
import type { RoomSet } from '../assess/room-set.ts';
import { testName } from '../damp/index.ts';
import { COVERS, type Cover, type CoverUp, type Photograph, type Seal } from '../record/index.ts';
import { reach, say, type Sayable } from '../said/index.ts';
import type { Criterion } from '../verdict/words.ts';

/** A photograph that is wanted before something is covered. */
export interface WantedPhoto {
  what: Sayable;
  about: Photograph['about'];
  aboutId: string;
  wanted: number;
  held: number;
}

/** Work that will hide what lies beneath it: what must be seen and settled first, and how it went. */
export interface HoldPoint {
  roomId: string;
  roomName: string;
  cover: Cover;
  photos: WantedPhoto[];
  /** Lines of the judgement that are not settled and could not be found out later. */
  open: Criterion[];
  done: CoverUp | null;
  seal: Seal | null;
}

/** Photographs are asked for under these names: one of what is covered, one of the bag or box it is covered with. */
export const coverPhotoId = (cover: Cover): string => `before/${cover}`;
export const bagPhotoId = (cover: Cover): string => `bag/${cover}`;

/** Parts whose evidence a cover hides for good. */
const HIDDEN_BY: Readonly<Record<Cover, readonly string[]>> = {
  pour: ['strip', 'damp', 'sound'],
  membrane: ['strip', 'sound'],
  underlay: ['strip', 'damp', 'sound', 'flat'],
  planks: ['strip', 'damp', 'sound', 'flat', 'heights', 'under'],
};

/** Which covers a room is to get: what was chosen, and what was done already. */
function coversOf({ works, underChoices }: RoomSet, { criteria, under }: RoomAssessment): Cover[] {
  const choice = underChoices.at(-1);
  const needsLevelling = criteria.some(({ id, verdict }) => id === 'flat' && verdict === 'work');
  const wanted: Record<Cover, boolean> = {
    pour: needsLevelling || works.length > 0,
    membrane: under?.membrane != null,
    underlay: Boolean(choice && (choice.underlayId !== null || choice.filmId !== null)),
    planks: true,
  };
  return COVERS.filter((cover) => wanted[cover]);
}

function photosOf(set: RoomSet, cover: Cover, isFirst: boolean): WantedPhoto[] {
  const { photos, dampTests, dampReadings, edgeWalks, plankBoxes } = set;
  const held = (about: Photograph['about'], aboutId: string) =>
    photos.filter((photo) => photo.about === about && photo.aboutId === aboutId).length;
  const wanted = (what: Sayable, about: Photograph['about'], aboutId: string, count: number): WantedPhoto => ({
    what,
    about,
    aboutId,
    wanted: count,
    held: held(about, aboutId),
  });
  const read = new Set(dampReadings.map(({ testId }) => testId));
  const hidesBase = cover === 'pour' || cover === 'membrane';
  return [
    // Planks hide the tests of the base only where nothing has covered it before them.
    ...(cover !== 'planks' || isFirst
      ? dampTests
          .filter(({ id, method }) => read.has(id) && method !== 'survey')
          // Its display, and the test where it stands.
          .map((test) => wanted(say('report.wantTest', { test: testName(test) }), 'damp', test.id, 2))
      : []),
    ...(cover === 'underlay' || cover === 'planks'
      ? edgeWalks
          .slice(-1)
          .map((walk) => wanted(say('report.wantEdge', { edge: reach(edgeOf(walk)) }), 'edge', walk.id, 1))
      : []),
    wanted(beforeWords(cover), 'cover', coverPhotoId(cover), 1),
    ...(hidesBase ? [wanted(say('report.wantBag'), 'work', bagPhotoId(cover), 1)] : []),
    ...(cover === 'planks'
      ? plankBoxes.map((box) => wanted(say('report.wantBox', { batch: box.batch }), 'box', box.id, 1))
      : []),
  ];
}

function beforeWords(cover: Cover): Sayable {
  switch (cover) {
    case 'pour':
      return say('report.wantBeforePour');
    case 'membrane':
      return say('report.wantBeforeMembrane');
    case 'underlay':
      return say('report.wantBeforeUnderlay');
    case 'planks':
      return say('report.wantBeforePlanks');
  }
}

const edgeOf = ({ fromXMm, fromYMm, toXMm, toYMm }: RoomSet['edgeWalks'][number]) =>
  Math.hypot(toXMm - fromXMm, toYMm - fromYMm);

/** The points of a room at which work stops until what will be hidden is seen, in the order in which they come. */
export function holdPointsOf(
  set: RoomSet,
  assessment: RoomAssessment,
  { coverUps, seals }: { coverUps: readonly CoverUp[]; seals: readonly Seal[] },
): HoldPoint[] {
  const { room } = set;
  return coversOf(set, assessment).map((cover, k) => ({
    roomId: room.id,
    roomName: room.name,
    cover,
    photos: photosOf(set, cover, k === 0),
    open: assessment.criteria.filter(({ part, verdict }) => verdict !== 'lay' && HIDDEN_BY[cover].includes(part)),
    done: coverUps.findLast((one) => one.ofRoomId === room.id && one.cover === cover) ?? null,
    seal: seals.findLast((one) => one.ofRoomId === room.id && one.sealedFor === cover) ?? null,
  }));
}

/** What of a hold point is missing, each in words: photographs first. */
export const missingOf = ({ photos, open }: Pick<HoldPoint, 'photos' | 'open'>): Sayable[] => [
  ...photos
    .filter(({ held, wanted }) => held < wanted)
    .map(({ what, held, wanted }) => say('report.photoMissing', { what, count: wanted - held })),
  ...open.map(({ title, margin }) => say('report.openLine', { title, margin })),
];
