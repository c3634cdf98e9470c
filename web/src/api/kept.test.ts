// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { noted, onReachedAgain, useKeptAt } from './kept';

const kept = (at: string) => new Response('{}', { headers: { 'kept-at': at } });
const fresh = () => new Response('{}');

afterEach(() => void act(() => noted(fresh())));

describe('what was kept', () => {
  it('is told with the oldest moment, until the program answers again', () => {
    const { result } = renderHook(useKeptAt);
    const reached = vi.fn();
    const leave = onReachedAgain(reached);
    expect(result.current).toBeUndefined();
    act(() => void noted(kept('2026-10-06T17:42:00Z')));
    act(() => void noted(kept('2026-10-06T17:40:00Z')));
    act(() => void noted(kept('2026-10-06T17:45:00Z')));
    expect(result.current).toBe('2026-10-06T17:40:00Z');
    expect(reached).not.toHaveBeenCalled();
    act(() => void noted(fresh()));
    act(() => void noted(fresh()));
    expect(result.current).toBeUndefined();
    expect(reached).toHaveBeenCalledTimes(1);
    leave();
  });
});
