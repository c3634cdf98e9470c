import { describe, expect, it } from 'vitest';
import type { CivilTime, Day, Moment } from '../api/time';
import { civil, clock, counted, day, grams, hour, length, percent, readLength } from './format';

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
    expect(length(50, 'in')).toBe('2');
    expect(length(165, 'in')).toBe('6-1/2');
    expect(length(27, 'in')).toBe('1-1/16');
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
    expect(length(4.25, 'mm', true)).toBe('4.25');
    expect(length(readLength('5-1/16', 'in') ?? Number.NaN, 'in', true)).toBe('5-1/16');
  });
});

describe('other figures', () => {
  it('never rounds a share up', () => {
    expect(percent(0.4999)).toBe('49 %');
    expect(percent(0.6)).toBe('60 %');
  });

  it('writes times, weights and days', () => {
    expect(clock(250)).toBe('4:10');
    expect([4.4, 47.9, 137.2, 842, 996, 1307, 1587].map(grams)).toEqual([
      '4 g',
      '50 g',
      '135 g',
      '840 g',
      '1 kg',
      '1.3 kg',
      '1.6 kg',
    ]);
    expect([36, 207, 1348].map(counted)).toEqual(['36', '210', '1,350']);
    expect(day('2026-10-06' as Day)).toBe('Tue 6 Oct');
    expect(hour('2026-10-06T18:30:00' as CivilTime, 110)).toBe('20:20');
  });
});

describe('a moment', () => {
  const at = (moment: string, zone: string) => civil(moment as Moment, zone);
  it('has the hour of the clock on the wall, on both sides of a change of summer time', () => {
    expect(at('2026-10-25T00:30:00Z', 'Europe/Lisbon')).toBe('2026-10-25T01:30:00');
    expect(at('2026-10-25T01:30:00Z', 'Europe/Lisbon')).toBe('2026-10-25T01:30:00');
    expect(at('2026-10-06T17:10:04.250Z', 'Europe/Lisbon')).toBe('2026-10-06T18:10:04');
  });

  it('falls on the day that it is where the school is', () => {
    expect(day(at('2026-10-06T23:30:00Z', 'Pacific/Kiritimati'))).toBe('Wed 7 Oct');
    expect(hour(at('2026-10-06T00:00:00Z', 'America/St_Johns'))).toBe('21:30');
  });
});
