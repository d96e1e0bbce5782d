import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import * as z from 'zod';
import { faultsOf } from '@escale/core/formats';
import { unkeepable } from '@escale/core/model';
import { isAway } from '../db/transact';
import { Refusal, type Why } from '../refusal';

/** The one error shape: application/problem+json (RFC 9457), with the lines a person can act on in `faults`. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly faults: string[] = [],
    readonly more: Record<string, unknown> = {},
  ) {
    super(title);
  }
}

export function sendProblem(
  res: Response,
  { status, title, faults, more }: Pick<Problem, 'status' | 'title' | 'faults' | 'more'>,
): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title,
        status,
        ...(faults.length > 0 ? { faults } : {}),
        ...more,
      }),
    );
}

/** Validate what comes in at the edge, once. */
export function parse<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const fault = unkeepable(value);
  if (fault) throw new Problem(422, `Something in this ${fault}.`);
  const result = schema.safeParse(value);
  if (!result.success) throw new Problem(422, 'Some of this can’t be taken.', faultsOf(result.error));
  return result.data;
}

export const notFound: RequestHandler = () => {
  throw new Problem(404, 'There is nothing here.');
};

/** What HTTP calls the reasons of a refusal. */
const STATUS: Record<Why, number> = { absent: 404, conflict: 409, unfit: 422, later: 503 };
/** Seconds after which a server that is away for a moment is asked again. */
const RETRY_AFTER = '5';

interface HttpError {
  status?: number;
  type?: string;
}

export const onError: ErrorRequestHandler = (error: unknown, req, res, _next) => {
  if (res.headersSent) {
    res.end();
    return;
  }
  if (error instanceof Problem) return sendProblem(res, error);
  if (error instanceof Refusal) {
    const { why, title, faults, more } = error;
    return sendProblem(res, { status: STATUS[why], title, faults, more });
  }
  const { status, type } = error as HttpError;
  if (type === 'entity.too.large') return sendProblem(res, new Problem(413, 'This is too large.'));
  if (status !== undefined && status >= 400 && status < 500)
    return sendProblem(res, new Problem(status, 'This request could not be read.'));
  req.log.error({ err: error }, 'failed');
  if (isAway(error)) {
    res.set('Retry-After', RETRY_AFTER);
    return sendProblem(res, new Problem(503, 'The database is away for a moment. Nothing was changed.'));
  }
  sendProblem(res, new Problem(500, 'Something went wrong on the server. Nothing was changed.'));
};
