// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useChange } from './changes';
import type { Subject } from './changes';

const KEYS = [
  ['about'],
  ['catalogue'],
  ['courses'],
  ['course', 1],
  ['rack', 1, null],
  ['care', 3, {}],
  ['plan', 5],
  ['class', 5, 0],
  ['check', 5],
  ['count', 5],
  ['yard', 1],
  ['student', 11],
  ['advice', 1, {}],
  ['own'],
];

/** First words of the readings that a change makes old. */
async function madeOld(subject: Subject, change: () => Promise<unknown>, refreshOnError = false) {
  const client = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
  for (const key of KEYS) client.setQueryData(key, 'read');
  const wrapper = ({ children }: { children: React.ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result } = renderHook(() => useChange(subject, change, { refreshOnError }), { wrapper });
  await act(() => result.current.mutateAsync(undefined).catch(() => undefined));
  return KEYS.filter((key) => client.getQueryState(key)?.isInvalidated).map((key) => key[0]);
}

const done = () => Promise.resolve();
const refused = () => Promise.reject(new Error('refused'));

describe('a change', () => {
  it('makes old what it touches and nothing else', async () => {
    expect(await madeOld('check', done)).toEqual(['check']);
    expect(await madeOld('count', done)).toEqual(['count']);
    expect(await madeOld('attempt', done)).toEqual(['rack', 'care', 'class', 'yard', 'student']);
    expect(await madeOld('incident', done)).toEqual(['class', 'student']);
    const knife = await madeOld('knife', done);
    expect(knife).toContain('rack');
    expect(knife).toContain('advice');
    expect(knife).not.toContain('catalogue');
    expect(await madeOld('student', done)).not.toContain('rack');
  });

  it('of the school’s own values touches everything, the catalogue too', async () => {
    expect(await madeOld('own', done)).toEqual(KEYS.map((key) => key[0]));
  });

  it('that is refused leaves what is on the screen, unless it asks to see things anew', async () => {
    expect(await madeOld('attempt', refused)).toEqual([]);
    expect(await madeOld('attempt', refused, true)).toContain('class');
  });
});
