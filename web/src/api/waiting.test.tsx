// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useSlow, waitedFor } from './waiting';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

const after = (ms: number) => new Promise<string>((resolve) => setTimeout(() => resolve('answer'), ms));

describe('an answer', () => {
  it('that is slow to come is said after two seconds, until it comes', async () => {
    const { result } = renderHook(useSlow);
    const waiting = waitedFor(after(12_000));
    await act(() => vi.advanceTimersByTimeAsync(1_900));
    expect(result.current).toBe(false);
    await act(() => vi.advanceTimersByTimeAsync(200));
    expect(result.current).toBe(true);
    await act(() => vi.advanceTimersByTimeAsync(10_000));
    await expect(waiting).resolves.toBe('answer');
    expect(result.current).toBe(false);
  });

  it('that comes at once is not said, however many there are', async () => {
    const { result } = renderHook(useSlow);
    for (let many = 0; many < 30; many++) {
      void waitedFor(after(100));
      await act(() => vi.advanceTimersByTimeAsync(150));
      expect(result.current).toBe(false);
    }
  });

  it('that fails is waited for no longer', async () => {
    const { result } = renderHook(useSlow);
    const failing = waitedFor(
      new Promise((_, reject) => setTimeout(() => reject(new Error('gone')), 3_000)),
    ).catch((error: Error) => error.message);
    await act(() => vi.advanceTimersByTimeAsync(2_500));
    expect(result.current).toBe(true);
    await act(() => vi.advanceTimersByTimeAsync(1_000));
    expect(await failing).toBe('gone');
    expect(result.current).toBe(false);
  });
});
