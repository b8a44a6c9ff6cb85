export const JOB_FILE_FORMAT = 'maquette-job';
/** 1: one door a room. 2: marks as points. 3: answers as topic and text. 4: answers as typed facts. 5: results say what was analysed. */
export const JOB_FILE_VERSION = 15;
