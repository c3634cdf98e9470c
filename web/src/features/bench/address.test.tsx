// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { NuqsAdapter } from 'nuqs/adapters/react-router/v7';
import { BrowserRouter, useNavigate } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useCutAddress, useOnionAddress } from './question';

const wrapper = ({ children }: { children: React.ReactNode }) => (
  <BrowserRouter>
    <NuqsAdapter defaultOptions={{ shallow: false }}>{children}</NuqsAdapter>
  </BrowserRouter>
);

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  window.history.replaceState(null, '', '/bench?food=potato');
});
afterEach(() => vi.useRealTimers());

const rest = () => act(() => vi.advanceTimersByTimeAsync(500));

describe('an address that is dragged', () => {
  it('is seen at once and written when the hand rests', async () => {
    const { result } = renderHook(useOnionAddress, { wrapper });
    const writes = vi.spyOn(window.history, 'replaceState');
    for (let depth = 1; depth <= 40; depth++) act(() => void result.current[1]({ depth: depth / 10 }));
    expect(result.current[0].depth).toBe(4);
    expect(writes).not.toHaveBeenCalled();
    await rest();
    expect(window.location.search).toBe('?food=potato&depth=4');
  });

  it('loses no step of a figure that is pressed on from what is shown, however late it is written', async () => {
    const { result } = renderHook(useOnionAddress, { wrapper });
    for (let press = 0; press < 25; press++) {
      act(() => void result.current[1]({ depth: Number((result.current[0].depth + 0.05).toFixed(2)) }));
      if (press % 4 === 0) await rest();
      else await act(() => vi.advanceTimersByTimeAsync((press % 5) * 40));
    }
    expect(result.current[0].depth).toBe(1.75);
    await rest();
    expect(window.location.search).toBe('?food=potato&depth=1.75');
  });

  it('keeps what was changed just before, though nothing was drawn between', async () => {
    const { result } = renderHook(useCutAddress, { wrapper });
    act(() => {
      void result.current[1]({ knife: 'santoku/165' });
      void result.current[1]({ t: 3.5 });
      void result.current[1]({ food: null });
    });
    await rest();
    expect(new URLSearchParams(window.location.search).toString()).toBe('knife=santoku%2F165&t=3.5');
  });

  it('follows a link', async () => {
    const { result } = renderHook(() => ({ own: useCutAddress(), navigate: useNavigate() }), { wrapper });
    act(() => void result.current.own[1]({ t: 2 }));
    await rest();
    await act(async () => void (await result.current.navigate('?food=leek&t=4')));
    await rest();
    expect(result.current.own[0]).toMatchObject({ food: 'leek', t: 4 });
  });

  it('gives the usual for what is no number', () => {
    window.history.replaceState(null, '', '/bench?t=thin&w=&l=50&good=many');
    const { result } = renderHook(useCutAddress, { wrapper });
    expect(result.current[0]).toMatchObject({ t: null, w: null, l: 50, good: 20 });
  });
});
