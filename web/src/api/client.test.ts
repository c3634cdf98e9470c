// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem, answer, api, ask, told } from './client';

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
  localStorage.clear();
});

const problem = {
  type: '/problems/fields',
  title: 'Some fields cannot be taken',
  status: 422,
  detail: 'Width: 0.1 mm is out of range.',
  problems: [
    {
      pointer: '/sizes/julienne/width',
      name: 'Width',
      value: '50 mm',
      allowed: '3 to 25 mm',
      rule: null,
      sentence: ['Width: ', { length: 50.8 }, ' is out of range.'],
      message: 'Width: 51 mm is out of range.',
    },
  ],
};

/** Answers each request in turn; what is no response is thrown. */
function answers(...given: (() => Response)[]) {
  const asked: Request[] = [];
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(request);
    const next = given[asked.length - 1];
    return next ? Promise.resolve(next()) : Promise.reject(new TypeError('no network'));
  });
  return asked;
}

const json =
  (body: unknown, status = 200) =>
  () =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const lost = () => {
  throw new TypeError('the network broke off');
};

describe('a problem', () => {
  it('is told at its field, and at the start of its path, in the unit that is shown', () => {
    const refused = new ApiProblem(problem as never);
    expect(refused.at('/sizes/julienne/width')).toBe('Width: 51 mm is out of range.');
    expect(refused.at('/sizes')).toBe('Width: 51 mm is out of range.');
    expect(refused.at('/size')).toBeUndefined();
    localStorage.setItem('yard-notch-unit', '"in"');
    expect(told(refused)).toBe('Width: 2 in is out of range.');
  });
});

describe('a question', () => {
  it('carries no id, is asked once, and tells that there is no answer', async () => {
    const asked = answers(lost);
    const question = answer(ask.POST('/api/bench/onion', { body: {} as never }));
    await expect(question).rejects.toMatchObject({ document: { status: 0 } });
    expect(asked).toHaveLength(1);
    expect(asked[0]?.headers.get('idempotency-key')).toBeNull();
  });
});

describe('a write', () => {
  const start = () => answer(api.POST('/api/rack/list', { body: { text: '2 paring 90' } }));

  it('whose answer was lost is sent again under the same id', async () => {
    const asked = answers(lost, json({ id: 7 }, 201));
    await expect(start()).resolves.toEqual({ id: 7 });
    const ids = asked.map((request) => request.headers.get('idempotency-key'));
    expect(ids[0]).toMatch(/^[0-9a-f]{32}$/);
    expect(ids[1]).toBe(ids[0]);
    expect(await asked[1]?.json()).toEqual({ text: '2 paring 90' });
  });

  it('has an id unlike that of the one before', async () => {
    const asked = answers(json({ id: 7 }, 201), json({ id: 8 }, 201));
    await start();
    await start();
    expect(asked[0]?.headers.get('idempotency-key')).not.toBe(asked[1]?.headers.get('idempotency-key'));
  });

  it('that is refused is told, and not sent again', async () => {
    const asked = answers(json(problem, 422));
    await expect(start()).rejects.toMatchObject({ document: { status: 422 } });
    expect(asked).toHaveLength(1);
  });

  it('is sent again until it is answered', async () => {
    vi.useFakeTimers();
    const asked = answers(lost, lost, lost, json({ id: 7 }, 201));
    const started = start();
    await vi.advanceTimersByTimeAsync(60_000);
    await expect(started).resolves.toEqual({ id: 7 });
    expect(new Set(asked.map((request) => request.headers.get('idempotency-key'))).size).toBe(1);
    expect(asked).toHaveLength(4);
  });

  it('that nobody answers is not said to be lost: it may have been kept', async () => {
    vi.useFakeTimers();
    const asked = answers();
    const told = expect(start()).rejects.toThrow('it is not known whether this was saved');
    await vi.advanceTimersByTimeAsync(60_000);
    await told;
    expect(asked).toHaveLength(6);
  });
});
