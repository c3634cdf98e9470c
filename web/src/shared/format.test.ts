import { describe, expect, it } from 'vitest';
import { clock, day, grams, hour, length, percent, readLength } from './format';

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

describe('typed lengths', () => {
  it('are millimetres, or inches as fractions', () => {
    expect(readLength(' 3,2 ', 'mm')).toBe(3.2);
    expect(readLength('.5', 'mm')).toBe(0.5);
    expect(readLength('1/8', 'in')).toBeCloseTo(3.175, 9);
    expect(readLength('1-1/2', 'in')).toBeCloseTo(38.1, 9);
    expect(readLength('2 3/4', 'in')).toBeCloseTo(69.85, 9);
    expect(readLength('0.25', 'in')).toBeCloseTo(6.35, 9);
  });

  it('that are none are left unread', () => {
    for (const text of ['', '1/', '1/0', '-3', 'three', '1/8', '3.2 cm', '1e3'])
      expect(readLength(text, 'mm'), text).toBeUndefined();
    for (const text of ['1/', '/8', '1/0', '1-/8']) expect(readLength(text, 'in'), text).toBeUndefined();
  });

  it('are shown as they were typed', () => {
    for (const text of ['1/8', '1-1/2', '2', '3/4'])
      expect(length(readLength(text, 'in') ?? Number.NaN, 'in')).toBe(text);
    expect(length(4.25, 'mm', 2)).toBe('4.25');
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
