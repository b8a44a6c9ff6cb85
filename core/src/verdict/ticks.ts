/** Key under which a treated mark is ticked. */
export const markTick = (markId: string) => `mark/${markId}`;

/** Key of the check that says every joint was felt along. */
export const LIPS_CHECK = 'lips/joints';
