import createClient from 'openapi-fetch';
import { shownUnit } from '../shared/format';
import { written } from '../shared/sentence';
import type { components, paths } from './schema.gen';
import { noted } from './kept';
import { waitedFor } from './waiting';
import { nothingTyped } from './worker';
import { SCHOOL } from '../shared/school';

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

/** No answer came. */
const noAnswer = (detail: string, status = 0): ProblemDocument => ({
  type: '/problems/unreachable',
  title: 'No answer',
  status,
  detail,
  problems: [],
});

const UNREAD = 'The program does not answer. Is it still running?';
const UNKNOWN =
  'The program does not answer, so it is not known whether this was saved. Look before you enter it again.';

/** How long a write waits each time before it is sent again; after the last it is given up. */
const AGAIN_MS = [400, 1000, 2000, 4000, 8000];

/** An id unlike all others, for a write: `crypto.randomUUID` is missing where a school serves plain HTTP. */
const writeId = () =>
  Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );

/** Sends a request, or tells that there is no answer. */
async function send(request: Request): Promise<Response> {
  try {
    return noted(await waitedFor(fetch(request)));
  } catch (error) {
    throw request.signal.aborted ? error : new ApiProblem(noAnswer(UNREAD));
  }
}

/**
 * Sends a write. It carries an id, so that one whose answer was lost on the way is sent again, as often as it
 * takes, without being done twice.
 */
async function sendWrite(request: Request): Promise<Response> {
  request.headers.set('Idempotency-Key', writeId());
  const response = await waitedFor(sendUntilAnswered(request));
  if (response.ok) nothingTyped();
  return response;
}

async function sendUntilAnswered(request: Request): Promise<Response> {
  for (const wait of AGAIN_MS) {
    try {
      const response = await fetch(request.clone());
      // Nothing of it was begun: the program has no time for it now, or the school is on its way to another host.
      if (response.status !== 503 || !response.headers.has('retry-after')) return response;
    } catch (error) {
      if (request.signal.aborted) throw error;
    }
    await new Promise((resolve) => setTimeout(resolve, wait));
  }
  return fetch(request).catch(() => {
    throw new ApiProblem(noAnswer(UNKNOWN));
  });
}

// Tests without a browser have no address of their own.
const baseUrl = typeof location === 'undefined' ? '' : `${location.origin}${SCHOOL}`;

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
    document?.detail ? document : noAnswer(`The program answered ${response.status}.`, response.status),
  );
}

/** What to tell a person of any failure. */
export function told(error: unknown): string {
  if (error instanceof ApiProblem && error.document.problems.length > 0)
    return error.document.problems.map(sentenceOf).join(' ');
  return error instanceof Error ? error.message : 'Something went wrong.';
}
