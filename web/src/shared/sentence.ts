import type { components } from '../api/schema.gen';
import { grams, length, minutes } from './format';
import type { Unit } from './format';

/** What the core says: words, and the lengths, weights, minutes and names between them. */
export type Sentence = components['schemas']['Text'];

type Part = components['schemas']['Part'];

const isLength = (part: Part): part is { length: number; bare?: boolean } =>
  typeof part === 'object' && 'length' in part;

/** Finer than this a length stays in mm: the nearest sixteenth would say something else. */
const FINE = 25.4 / 16;

/** The unit of each length: those that share one are all in millimetres as soon as one of them is finer. */
function units(sentence: Sentence, unit: Unit): Unit[] {
  const found: Unit[] = sentence.map(() => unit);
  let group: number[] = [];
  sentence.forEach((part, place) => {
    if (!isLength(part)) return;
    group.push(place);
    if (part.bare) return;
    const lengths = group
      .map((each) => sentence[each])
      .filter((each) => each !== undefined && isLength(each));
    if (lengths.some((each) => each.length > 0 && each.length < FINE))
      group.forEach((each) => (found[each] = 'mm'));
    group = [];
  });
  return found;
}

/** A sentence as it is read, its lengths in a unit. */
export function written(sentence: Sentence, unit: Unit): string {
  const shown = units(sentence, unit);
  return sentence
    .map((part, place) => {
      if (typeof part === 'string') return part;
      if ('name' in part) return part.name;
      if ('minutes' in part) return `${minutes(part.minutes)} min`;
      if ('grams' in part) return grams(part.grams);
      if ('offset' in part) return `${part.offset < 0 ? '' : '+'}${part.offset.toFixed(2)} mm`;
      const inUnit = shown[place] ?? unit;
      return part.bare ? length(part.length, inUnit) : `${length(part.length, inUnit)} ${inUnit}`;
    })
    .join('');
}
