import createClient from 'openapi-fetch';
import { shownUnit } from '../shared/format';
import { written } from '../shared/sentence';
import type { components, paths } from './schema.gen';

/** Types of the wire, by their names in the OpenAPI document. */
export type Api = components['schemas'];

export type ProblemDocument = Api['ProblemDocument'];

/** A failure told by the server, or the lack of an answer (status 0). */
export class ApiProblem extends Error {
  readonly document: ProblemDocument;

  constructor(document: ProblemDocument) {
    super(document.detail);
    this.document = document;
  }

  /** Sentences at a field, by its JSON pointer or the start of it. */
  at(pointer: string): string | undefined {
    const found = this.document.problems.filter(
      (p) => p.pointer === pointer || p.pointer.startsWith(`${pointer}/`),
    );
    return found.length ? found.map(sentenceOf).join(' ') : undefined;
  }
}

const sentenceOf = (problem: Api['Problem']) => written(problem.sentence, shownUnit());

const unreachable: ProblemDocument = {
  type: '/problems/unreachable',
  title: 'No answer',
  status: 0,
  detail: 'The program does not answer. Is it still running? Nothing was saved; try again when it is.',
  problems: [],
};

/** How long a write waits before it is sent once more. */
const AGAIN_MS = 400;

/** An id unlike all others, for a write: `crypto.randomUUID` is missing where a school serves plain HTTP. */
const writeId = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

/** Sends a request, or tells that there is no answer. */
async function send(request: Request): Promise<Response> {
  try {
    return await fetch(request);
  } catch (error) {
    throw request.signal.aborted ? error : new ApiProblem(unreachable);
  }
}

/**
 * Sends a write. It carries an id, so that one whose answer was lost on the way is sent again without being
 * done twice.
 */
async function sendWrite(request: Request): Promise<Response> {
  request.headers.set('Idempotency-Key', writeId());
  const again = request.clone();
  try {
    return await fetch(request);
  } catch (error) {
    if (request.signal.aborted) throw error;
  }
  await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
  return send(again);
}

// Tests without a browser have no address of their own.
const baseUrl = typeof location === 'undefined' ? '' : location.origin;

/** Asks: reads, or works something out of what is sent along; nothing is changed by it. */
export const ask = createClient<paths>({ baseUrl, fetch: send });

/** Changes. */
export const api = createClient<paths>({ baseUrl, fetch: sendWrite });

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The body of an answer, or the problem it tells. */
export async function answer<T>(request: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await request;
  if (response.ok) return data as T;
  const document = error as ProblemDocument | undefined;
  throw new ApiProblem(
    document?.detail
      ? document
      : {
          ...unreachable,
          status: response.status,
          title: 'No answer',
          detail: `The program answered ${response.status}.`,
        },
  );
}

/** What to tell a person of any failure. */
export function told(error: unknown): string {
  if (error instanceof ApiProblem && error.document.problems.length > 0)
    return error.document.problems.map(sentenceOf).join(' ');
  return error instanceof Error ? error.message : 'Something went wrong.';
}
