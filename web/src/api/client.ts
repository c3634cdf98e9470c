import createClient from 'openapi-fetch';
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
    return found.length ? found.map((p) => p.message).join(' ') : undefined;
  }
}

const unreachable: ProblemDocument = {
  type: '/problems/unreachable',
  title: 'No answer',
  status: 0,
  detail: 'The program does not answer. Is it still running? Nothing was saved; try again when it is.',
  problems: [],
};

export const api = createClient<paths>({
  baseUrl: '',
  fetch: async (request) => {
    try {
      return await fetch(request);
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') throw error;
      throw new ApiProblem(unreachable);
    }
  },
});

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
  return error instanceof Error ? error.message : 'Something went wrong.';
}
