import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, test } from 'vitest';
import { useNewest } from './newest';

test('one question is open at a time, the newest is asked next, and those between never', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const asked: number[] = [];
  let answerNow: () => void = () => undefined;
  const read = (question: number) => ({
    queryKey: ['asked', question],
    queryFn: () => {
      asked.push(question);
      return new Promise<number>((done) => {
        answerNow = () => done(question * 10);
      });
    },
    placeholderData: (before: number | undefined) => before,
  });
  const { result, rerender } = renderHook(({ newest }) => useNewest(newest, read), {
    wrapper,
    initialProps: { newest: 1 },
  });
  for (const newest of [2, 3, 4]) rerender({ newest });
  expect(asked).toEqual([1]);
  act(() => answerNow());
  await waitFor(() => expect(asked).toEqual([1, 4]));
  // The answer to the first stays until the newest is answered.
  expect(result.current.data).toBe(10);
  act(() => answerNow());
  await waitFor(() => expect(result.current.data).toBe(40));
  expect(asked).toEqual([1, 4]);
});
