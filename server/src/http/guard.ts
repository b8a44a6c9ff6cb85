import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { problem } from './problem.ts';

/** Names by which a machine speaks of itself. */
export const LOOPBACK: readonly string[] = ['localhost', '127.0.0.1', '::1'];

/** `Fennimore.local:4310` and `[::1]:4310` without the port, in small letters; null where it is no host at all. */
function hostName(host: string): string | null {
  try {
    return new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '').toLowerCase();
  } catch {
    return null;
  }
}

const originHost = (origin: string) =>
  /^https?:\/\//.test(origin) ? hostName(origin.replace(/^https?:\/\//, '')) : null;

/**
 * Answers only to the names the server was given: a page elsewhere that has its own name point here cannot read what is stored
 * (421), and one that sends from its own address cannot write (403).
 */
export function onlyFor(names: readonly string[]): RequestHandler {
  const known = new Set(names.map((name) => name.toLowerCase()));
  return (req, res, next) => {
    const host = hostName(req.headers.host ?? '');
    if (!host || !known.has(host)) return problem(res, 421, 'This server does not answer to that name');
    const { origin } = req.headers;
    if (origin !== undefined && !known.has(originHost(origin) ?? ''))
      return problem(res, 403, 'This server takes nothing from a page of another address');
    return next();
  };
}

/** So many requests a minute from one address; more are told to wait, and the outbox does. */
export function limited(requestsAMinute: number): RequestHandler {
  return rateLimit({
    windowMs: 60_000,
    limit: requestsAMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_req, res) => problem(res, 429, 'Too much at once: wait a moment'),
  });
}
