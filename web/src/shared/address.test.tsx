// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { BrowserRouter, Router } from 'react-router';
import type { Navigator } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useAddress, useChangeAddress } from './address';

beforeEach(() => window.history.replaceState(null, '', '/bench?food=carrot'));
afterEach(() => vi.useRealTimers());

describe('changing words of the address', () => {
  it('keeps what was changed just before, though nothing was drawn between', () => {
    const { result } = renderHook(useChangeAddress, { wrapper: BrowserRouter });
    act(() => {
      result.current({ knife: 'santoku/165' });
      result.current({ against: 'chefs/200' });
      result.current({ food: null });
    });
    expect(window.location.search).toBe('?knife=santoku%2F165&against=chefs%2F200');
  });
});

describe('an address that is dragged', () => {
  it('is seen at once and written when the hand rests', () => {
    vi.useFakeTimers();
    const { result } = renderHook(useAddress, { wrapper: BrowserRouter });
    const writes = vi.spyOn(window.history, 'replaceState');
    for (let depth = 1; depth <= 40; depth++) act(() => result.current.change({ depth: depth / 10 }));
    expect(result.current.number('depth', 0)).toBe(4);
    expect(result.current.word('food', '')).toBe('carrot');
    expect(writes).not.toHaveBeenCalled();
    act(() => void vi.advanceTimersByTime(400));
    expect(writes).toHaveBeenCalledTimes(1);
    expect(window.location.search).toBe('?food=carrot&depth=4');
  });

  it('is not put back by an address of its own that is drawn late, as on a slow machine', () => {
    vi.useFakeTimers();
    const sent: string[] = [];
    const navigator: Navigator = {
      createHref: String,
      go: () => undefined,
      push: () => undefined,
      replace: (to) => void sent.push(typeof to === 'string' ? to : (to.search ?? '')),
    };
    let search = '?food=carrot';
    const wrapper = ({ children }: { children: React.ReactNode }) => (
      <Router location={{ pathname: '/bench', search }} navigator={navigator}>
        {children}
      </Router>
    );
    const { result, rerender } = renderHook(useAddress, { wrapper });
    const drag = (depth: number) => {
      act(() => result.current.change({ depth }));
      act(() => void vi.advanceTimersByTime(400));
    };
    drag(1);
    drag(2);
    for (const late of sent) {
      search = late;
      rerender();
      expect(result.current.number('depth', 0)).toBe(2);
    }
    search = '?food=potato';
    rerender();
    expect(result.current.word('food', ''), 'a link is followed').toBe('potato');
  });

  it('follows an address that is changed from elsewhere', () => {
    const { result } = renderHook(() => ({ own: useAddress(), other: useChangeAddress() }), {
      wrapper: BrowserRouter,
    });
    act(() => result.current.other({ food: 'potato' }));
    expect(result.current.own.word('food', '')).toBe('potato');
  });

  it('gives the usual for what is no number', () => {
    window.history.replaceState(null, '', '/bench?t=thin&w=&l=50');
    const { result } = renderHook(useAddress, { wrapper: BrowserRouter });
    expect([
      result.current.optional('t'),
      result.current.optional('w'),
      result.current.optional('l'),
    ]).toEqual([null, null, 50]);
    expect(result.current.number('t', 3)).toBe(3);
  });
});
