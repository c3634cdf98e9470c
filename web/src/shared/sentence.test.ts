import { describe, expect, it } from 'vitest';
import { written } from './sentence';
import type { Sentence } from './sentence';

const clears: Sentence = [
  { length: 210 },
  ' clears a ',
  { length: 50 },
  ' cut with ',
  { length: 135 },
  ' of travel.',
];
const size: Sentence = [
  { length: 6.35, bare: true },
  ' × ',
  { length: 6.35, bare: true },
  ' × ',
  { length: 50.8 },
];

describe('a sentence', () => {
  it('is written in millimetres', () => {
    expect(written(clears, 'mm')).toBe('210 mm clears a 50 mm cut with 135 mm of travel.');
    expect(written(size, 'mm')).toBe('6.4 × 6.4 × 51 mm');
  });

  it('is written in inches, every length of it', () => {
    expect(written(clears, 'in')).toBe('8-1/4 in clears a 2 in cut with 5-3/8 in of travel.');
    expect(written(size, 'in')).toBe('1/4 × 1/4 × 2 in');
  });

  it('keeps in millimetres what is finer than a sixteenth, with the lengths that share its unit', () => {
    const fine: Sentence = [
      'the ends differ by ',
      { length: 0.42 },
      '; allowed: ',
      { length: 0.5, bare: true },
      ' to ',
      { length: 5 },
    ];
    expect(written(fine, 'in')).toBe('the ends differ by 0.4 mm; allowed: 0.5 to 5 mm');
    expect(written(['off by ', { offset: -0.8 }, '.'], 'in')).toBe('off by -0.80 mm.');
  });

  it('leaves words alone, whatever stands in them', () => {
    expect(
      written(['A 50 mm cut, said as words, for ', { name: 'Ann' }, ' in ', { minutes: 12 }, '.'], 'in'),
    ).toBe('A 50 mm cut, said as words, for Ann in 12 min.');
  });
});
