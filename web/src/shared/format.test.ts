import { describe, expect, it } from 'vitest';
import { clock, day, grams, hour, length, percent } from './format';

describe('lengths', () => {
  it('are written as a cook writes them', () => {
    expect(length(3.175, 'mm')).toBe('3.2');
    expect(length(6.35, 'mm')).toBe('6.4');
    expect(length(19.05, 'mm')).toBe('19');
    expect(length(50, 'mm')).toBe('50');
  });

  it('become kitchen fractions in inches', () => {
    expect(length(3.175, 'in')).toBe('1/8');
    expect(length(1.5875, 'in')).toBe('1/16');
    expect(length(12.7, 'in')).toBe('1/2');
    expect(length(38.1, 'in')).toBe('1-1/2');
    expect(length(50.8, 'in')).toBe('2');
    expect(length(0.2, 'in')).toBe('<1/16');
  });
});

describe('other figures', () => {
  it('never rounds a share up', () => {
    expect(percent(0.4999)).toBe('49 %');
    expect(percent(0.6)).toBe('60 %');
  });

  it('writes times, weights and days', () => {
    expect(clock(250)).toBe('4:10');
    expect(grams(1587)).toBe('1.6 kg');
    expect(day('2026-10-06T18:30:00')).toBe('Tue 6 Oct');
    expect(hour('2026-10-06T18:30:00', 110)).toBe('20:20');
  });
});
