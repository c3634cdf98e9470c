// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type * as QueueModule from './queue';

type Queue = Pick<typeof QueueModule, 'touch' | 'beginSending'>;

interface Sent {
  path: string;
  id: string | null;
  body: unknown;
}

/** What the program answers, one after the other; then it takes everything. */
let answers: (() => Response | Promise<Response>)[] = [];
let sent: Sent[] = [];

const taken = () =>
  new Response(JSON.stringify({ attempts: [], refused: [] }), {
    status: 201,
    headers: { 'content-type': 'application/json' },
  });
const lost = () => Promise.reject(new TypeError('failed'));
const problem = (status: number, detail: string) => () =>
  new Response(JSON.stringify({ type: '/problems/conflict', title: '', status, detail, problems: [] }), {
    status,
    headers: { 'content-type': 'application/problem+json' },
  });

/** A page of the device, opened; what was kept by the one before is there. */
async function open(who = 'Mara'): Promise<Queue> {
  close();
  vi.resetModules();
  const queue = await import('./queue');
  close = queue.beginSending({ read: () => Promise.resolve(), who: () => who });
  return queue;
}

let close: () => void = () => undefined;

const mark = (queue: Queue, student: number) =>
  queue.touch(5, { kind: 'mark', body: { student_id: student, what: { kind: 'grip' } } }, `${student}: grip`);

const students = () => sent.map((each) => (each.body as { student_id: number }).student_id);

beforeEach(() => {
  vi.stubGlobal('indexedDB', new IDBFactory());
  answers = [];
  sent = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const answered = (answers.shift() ?? taken)();
    const response = await answered;
    sent.push({
      path: new URL(request.url).pathname,
      id: request.headers.get('idempotency-key'),
      body: await request.json(),
    });
    return response;
  });
});

afterEach(() => {
  close();
  vi.unstubAllGlobals();
});

describe('what is touched', () => {
  it('is sent in order, each with an id of its own', async () => {
    const queue = await open();
    for (const student of [1, 2, 3]) mark(queue, student);
    await vi.waitFor(() => expect(students()).toEqual([1, 2, 3]));
    expect(new Set(sent.map((each) => each.id)).size).toBe(3);
    expect(sent.every((each) => each.path === '/api/lessons/5/marks')).toBe(true);
  });

  it('waits while the program does not answer, and is sent under the same id again', async () => {
    answers = [lost, lost];
    const queue = await open();
    const made = mark(queue, 1);
    mark(queue, 2);
    await vi.waitFor(() => expect(students()).toEqual([1, 2]), { timeout: 4000 });
    expect(sent[0]?.id).toBe(made.id);
  });

  it('survives the page being closed, and comes before what is touched then', async () => {
    const before = await open();
    answers = Array.from({ length: 50 }, () => lost);
    for (const student of [1, 2, 3]) mark(before, student);
    await new Promise((resolve) => setTimeout(resolve, 200));
    answers = [];
    const queue = await open();
    mark(queue, 4);
    await vi.waitFor(() => expect([...new Set(students())]).toEqual([1, 2, 3, 4]), { timeout: 4000 });
  });

  it('that is refused is told and holds nothing up', async () => {
    answers = [problem(409, 'Noor had no attempt at that moment')];
    const queue = await open();
    mark(queue, 1);
    mark(queue, 2);
    await vi.waitFor(() => expect(students()).toEqual([1, 2]));
    expect(sent).toHaveLength(2);
  });

  it('waits for the person who made it, and is sent in no other’s name', async () => {
    answers = Array.from({ length: 50 }, () => lost);
    const before = await open('Ben');
    mark(before, 1);
    await new Promise((resolve) => setTimeout(resolve, 200));
    answers = [];
    sent = [];
    await open('Mara');
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(students()).toEqual([]);
    await open('Ben');
    await vi.waitFor(() => expect(students().at(-1)).toBe(1));
  });

  it('is sent all the same where the browser keeps nothing', async () => {
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new DOMException('denied', 'SecurityError');
      },
    });
    const queue = await open();
    mark(queue, 1);
    await vi.waitFor(() => expect(students()).toEqual([1]));
  });
});
