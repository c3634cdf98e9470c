import { describe, expect, it } from 'vitest';
import { differences, makingOf, USUAL } from './making';

describe('how an exercise is made', () => {
  it('is the usual where the address says nothing, or nothing sound', () => {
    expect(makingOf(new URLSearchParams('add=1&food=carrot'))).toEqual(USUAL);
    expect(makingOf(new URLSearchParams('t=-3&w=no&l=&way=sideways&produce=huge'))).toEqual(USUAL);
    expect(differences(USUAL)).toBe('');
  });

  it('takes what the Bench pins', () => {
    const making = makingOf(new URLSearchParams('t=5&w=4.5&way=flat_first&produce=large&peel=1.2'));
    expect(making).toEqual({
      thickness: 5,
      width: 4.5,
      length: null,
      way: 'flat_first',
      produce: 'large',
      peel: 1.2,
    });
    expect(differences(making)).toBe('its own size · flat first · large produce · peeled');
  });
});
