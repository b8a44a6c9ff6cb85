import ical, { ICalEventBusyStatus, ICalEventStatus, ICalEventTransparency } from 'ical-generator';

/** One stretch of a task as a calendar shows it; its words are the reader's. */
export interface CalendarEntry {
  /** Key of the task, and which of its stretches it is, from 1. */
  key: string;
  stretch: number;
  fromUtc: string;
  toUtc: string;
  summary: string;
  description: string;
  location: string;
  /** Nobody is busy meanwhile: things dry, stand, or are on their way. */
  isWait: boolean;
  /** It was in a calendar written before, and went. */
  isGone: boolean;
}

export interface CalendarOfJob {
  jobId: string;
  name: string;
  /** Counts on with every plan that is kept: a calendar takes the higher one. */
  edition: number;
  writtenAtUtc: string;
}

/**
 * A job's days for a calendar (RFC 5545): times in UTC, an entry for each stretch of work, waits as time that is free. An entry bears the same name for good, so that
 * bringing the file in again moves what is there; one that went is sent cancelled.
 */
export function icsOf(job: CalendarOfJob, entries: readonly CalendarEntry[]): string {
  const stamp = new Date(job.writtenAtUtc);
  const calendar = ical({ name: job.name, prodId: { company: 'Maquette', product: 'days', language: 'EN' } });
  for (const entry of entries)
    calendar.createEvent({
      id: `${job.jobId}/${entry.key}/${entry.stretch}@maquette`,
      sequence: job.edition,
      stamp,
      start: new Date(entry.fromUtc),
      end: new Date(entry.toUtc),
      summary: entry.summary,
      description: entry.description,
      location: entry.location,
      status: entry.isGone ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      transparency: entry.isWait ? ICalEventTransparency.TRANSPARENT : ICalEventTransparency.OPAQUE,
      busystatus: entry.isWait ? ICalEventBusyStatus.FREE : ICalEventBusyStatus.BUSY,
    });
  return `${calendar.toString().replace(/\r?\n/g, '\r\n').trimEnd()}\r\n`;
}
