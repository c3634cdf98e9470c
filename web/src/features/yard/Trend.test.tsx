// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Api } from '../../api/client';
import { NotchRule } from '../../shared/rule';
import { shown } from '../../test/shown';
import { Trend } from './Trend';

afterEach(cleanup);

const attempt = (on_day: string, ...shares: [custom: string, share: number][]) =>
  ({
    on_day,
    samples: shares.map(([custom, share]) => ({
      custom,
      verdict: { inside: { count: share * 10, of: 10, share, proves: share / 2 } },
    })),
  }) as unknown as Api['Attempt'];

describe('the trend', () => {
  it('shows blind samples only, the latest last', () => {
    const attempts = [
      attempt('2026-10-13', ['blind_ten', 0.9], ['best_four', 1]),
      attempt('2026-10-06', ['blind_ten', 0.4]),
    ];
    shown(<Trend attempts={attempts} mustProve={0.6} />);
    const drawing = screen.getByRole('img');
    expect(drawing.getAttribute('aria-label')).toBe('Share inside over 2 blind samples, the last 90 %');
    expect(drawing.textContent).toContain('Tue 6 Oct');
    expect(drawing.textContent).toContain('dashed: 60 %');
  });

  it('draws nothing of a single sample', () => {
    const { container } = shown(
      <Trend attempts={[attempt('2026-10-06', ['blind_ten', 0.4])]} mustProve={0.6} />,
    );
    expect(container.querySelector('svg')).toBeNull();
  });

  it('keeps to the last twelve', () => {
    const many = Array.from({ length: 20 }, () => attempt('2026-10-06', ['blind_ten', 0.5]));
    shown(<Trend attempts={many} mustProve={0.6} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('over 12 blind samples');
  });
});

describe('a rule of notches', () => {
  it('says each place with its state', () => {
    const rule = {
      strand: 'julienne',
      notches: [
        { kind: 'safe', state: { kind: 'cut', on: '2026-10-06' } },
        { kind: 'true', state: { kind: 'lapsed', on: '2026-10-06', since: '2026-10-13' } },
        { kind: 'even', state: { kind: 'open' } },
      ],
    } as unknown as Api['StrandRule'];
    const { container } = shown(<NotchRule rule={rule} />);
    expect(screen.getByRole('img', { name: 'Julienne: safe cut, true lapsed, even open' })).toBeTruthy();
    expect(container.querySelectorAll('circle')).toHaveLength(1);
  });
});
