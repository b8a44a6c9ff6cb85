import type { ErrorRequestHandler, Response } from 'express';
import type { Problem, SaidProblem } from '@maquette/facts';
import '@maquette/words/rest';
import { inWords } from '@maquette/words';

/** Answers with an RFC 9457 problem document. */
export function problem(res: Response, status: number, title: string, more: Partial<Problem> = {}): void {
  const body: Problem = { type: 'about:blank', title, status, ...more };
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

/** Answers that fields were wrong: each with its value and what is taken. */
export function refuse(res: Response, errors: SaidProblem[]): void {
  const first = errors[0];
  const detail = first
    ? `${first.line === undefined ? '' : `Line ${first.line}, `}${first.field || 'body'}: ${JSON.stringify(first.value)} ${inWords(first.message, 'metric')}`
    : '';
  const worded = errors.map((error) => ({ ...error, message: inWords(error.message, 'metric') }));
  problem(res, 422, 'Some values cannot be taken', { detail, errors: worded });
}

/** The last handler: what went wrong in words, never a stack. */
export const onError: ErrorRequestHandler = (error: { status?: number; type?: string }, req, res, next) => {
  if (res.headersSent) return next(error);
  if (error.type === 'entity.too.large') return problem(res, 413, 'The body is too large');
  if (error.type === 'entity.parse.failed') return problem(res, 400, 'The body is not JSON');
  if (error.status && error.status < 500) return problem(res, error.status, 'The request cannot be read');
  req.log.error(error);
  return problem(res, 500, 'The server could not do this. Nothing was stored.');
};
