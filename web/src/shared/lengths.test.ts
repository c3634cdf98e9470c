import { describe, expect, it } from 'vitest';
import { length, readLength } from './format';
import type { Unit } from './format';
import table from '../../../crates/notch-core/tests/figures/lengths.json';

/** The same table that the core is tested with: neither can drift from the other. */
describe('lengths of the shared table', () => {
  it('are read alike', () => {
    for (const { text, unit, mm } of table.typed)
      expect(readLength(text, unit as Unit), text).toBeCloseTo(mm, 9);
    for (const text of table.no_length) {
      expect(readLength(text, 'mm'), text).toBeUndefined();
      expect(readLength(text, 'in'), text).toBeUndefined();
    }
  });

  it('are written alike', () => {
    for (const { mm, text } of table.written) expect(length(mm, 'mm'), String(mm)).toBe(text);
  });
});
