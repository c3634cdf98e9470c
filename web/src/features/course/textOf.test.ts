import { describe, expect, it } from 'vitest';
import { textOf } from './textOf';

const file = (bytes: number[]) => new File([new Uint8Array(bytes)], 'names.csv');

describe('the text of a file', () => {
  it('is read as what it was written in', async () => {
    // Zoë in UTF-8, with its mark and without, in Latin letters of one byte, and in two bytes each way round.
    expect(await textOf(file([0x5a, 0x6f, 0xc3, 0xab]))).toBe('Zoë');
    expect(await textOf(file([0xef, 0xbb, 0xbf, 0x5a, 0x6f, 0xc3, 0xab]))).toBe('Zoë');
    expect(await textOf(file([0x5a, 0x6f, 0xeb]))).toBe('Zoë');
    expect(await textOf(file([0xff, 0xfe, 0x5a, 0, 0x6f, 0, 0xeb, 0]))).toBe('Zoë');
    expect(await textOf(file([0xfe, 0xff, 0, 0x5a, 0, 0x6f, 0, 0xeb]))).toBe('Zoë');
    expect(await textOf(file([]))).toBe('');
  });
});
