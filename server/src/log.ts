import { pino, type Logger } from 'pino';

/** Levels a log may be kept at; requests that go well are told at `debug`. */
export const LOG_LEVELS = ['silent', 'error', 'warn', 'info', 'debug'] as const;
export type LogLevel = (typeof LOG_LEVELS)[number];
export const isLogLevel = (level: string): level is LogLevel => (LOG_LEVELS as readonly string[]).includes(level);

/** A log of one JSON object a line, to standard error: what the server says to its user goes to standard output. */
export const openLog = (level: LogLevel): Logger => pino({ level, base: null }, pino.destination(2));

/** Where nothing is to be written down. */
export const NO_LOG: Logger = pino({ level: 'silent' });
