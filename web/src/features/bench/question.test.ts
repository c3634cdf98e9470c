import { describe, expect, it } from 'vitest';
import type { Api } from '../../api/client';
import {
  cutQuestion,
  keptCut,
  keptOnion,
  measures,
  methodOf,
  onionQuestion,
  readCut,
  readOnion,
  writeCut,
} from './question';
import { targetText } from '../../shared/targetText';

const carrot = {
  id: 'carrot',
  shape: { kind: 'frustum', big_end: 32, small_end: 18, length: 180 },
} as Api['Food'];

describe('the address of a cut', () => {
  it('asks for julienne of carrot where it says nothing', () => {
    const asked = cutQuestion(readCut(''), [carrot]);
    expect(asked).toMatchObject({
      food: 'carrot',
      cut: 'julienne',
      good: 20,
      success: 0.8,
      produce: 'medium',
    });
    expect(asked.shape).toBeUndefined();
    expect(asked.errors.lean_degrees).toBe(0);
  });

  it('is read word by word', () => {
    const asked = cutQuestion(
      readCut(
        '?food=carrot&t=2.5&good=12&success=90&lean=5&uneven=20&knife=santoku/165&way=flat_first&peel=1.2&onward=6&price=2.5',
      ),
      [carrot],
    );
    expect(asked).toMatchObject({
      thickness: 2.5,
      good: 12,
      success: 0.9,
      knife_type: 'santoku',
      knife_length: 165,
      way: 'flat_first',
      peel: 1.2,
      onward: 6,
      price: 2.5,
    });
    expect(asked.errors).toMatchObject({ lean_degrees: 5, step_cv: 0.2 });
  });

  it('takes a measured food only with all of its lengths', () => {
    expect(cutQuestion(readCut('measured=40,20,150'), [carrot]).shape).toEqual({
      kind: 'frustum',
      big_end: 40,
      small_end: 20,
      length: 150,
    });
    for (const wrong of ['measured=40', 'measured=40,20,x', 'measured=', 'measured=1,2,3,4'])
      expect(cutQuestion(readCut(wrong), [carrot]).shape).toBeUndefined();
  });

  it('leaves out what is no number', () => {
    const asked = cutQuestion(readCut('t=thin&good=many&success=&knife='), [carrot]);
    expect(asked).toMatchObject({ good: 20, success: 0.8 });
    expect(asked.thickness).toBeUndefined();
    expect(asked.knife_type).toBeUndefined();
    expect(cutQuestion(readCut('good=-4'), [carrot]).good).toBe(0);
  });
});

describe('the address of an onion', () => {
  it('asks for nine verticals where it says nothing', () => {
    expect(onionQuestion(readOnion(''))).toMatchObject({
      radius: 40,
      layers: 8,
      cuts: 9,
      uneven: 0,
      method: { kind: 'verticals' },
    });
  });

  it('holds cuts that were put by hand, all or none', () => {
    expect(onionQuestion(readOnion('places=0.2,0.5')).places).toEqual([0.2, 0.5]);
    expect(onionQuestion(readOnion('places=0.2,left')).places).toBeUndefined();
  });

  it('knows each way by its word', () => {
    expect(methodOf('below', 0.7, 1)).toEqual({ kind: 'below', depth: 0.7 });
    expect(methodOf('level', 0.7, 2)).toEqual({ kind: 'level', level: 2 });
    expect(methodOf('turned', 0.7, 2)).toEqual({ kind: 'turned' });
    expect(readOnion('method=sideways').method).toBe('verticals');
  });
});

describe('what is kept beside', () => {
  it('is the cut without the view of it', () => {
    expect(keptCut(readCut('?food=potato&cut=baton&step=1&beside=a;b&lean=5'))).toBe('food=potato&cut=baton');
    expect(keptOnion(readOnion('?cuts=12&strokes=40&level_cut=true'))).toBe('cuts=12');
    expect(readCut('beside=food%3Dpotato;food%3Dleek').beside).toEqual(['food=potato', 'food=leek']);
    expect(readCut('').beside).toEqual([]);
  });

  it('comes back through an address whole', () => {
    const beside = [keptCut(readCut('food=potato&t=3.5')), keptCut(readCut('food=leek&cut=coins'))];
    const written = writeCut({ food: 'potato', beside });
    expect(readCut(written).beside).toEqual(['food=potato&t=3.5', 'food=leek&cut=coins']);
    expect(readCut(written).food).toBe('potato');
  });
});

describe('shapes and targets', () => {
  it('have the lengths that can be measured, in order', () => {
    expect(measures(carrot.shape).map((field) => field.key)).toEqual(['big_end', 'small_end', 'length']);
    expect(measures({ kind: 'ball', diameter: 75, core: 20 }).map((field) => field.size)).toEqual([75, 20]);
    expect(measures({ kind: 'ball', diameter: 75, core: null })).toHaveLength(1);
    expect(measures({ kind: 'bundle', grams: 30 }).map((field) => field.label)).toEqual(['Grams']);
  });

  it('are written with each side once', () => {
    const text = targetText(
      { thickness: { kind: 'range', from: 3.2, to: 6.4 }, width: null, length: { kind: 'below', limit: 50 } },
      'mm',
    );
    expect(text).toBe('3.2 to 6.4 × under 50');
    expect(targetText({ thickness: null, width: null, length: null }, 'mm')).toBe('');
  });
});
