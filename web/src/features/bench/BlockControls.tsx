import { NumberInput, SegmentedControl, Select } from '@mantine/core';
import { memo } from 'react';
import type { Api, ApiProblem } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { useUnit, withUnit } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import { cutChoices, foodChoices, isMadeOf } from '../../shared/pantry';
import styles from './Bench.module.css';
import { measures, typed } from './question';
import type { ChangeCut, CutWords } from './question';
import { Slider } from './Slider';

interface Props {
  at: CutWords;
  change: ChangeCut;
  question: Api['BenchQuestion'];
  data: Api['BenchView'] | undefined;
  problem: ApiProblem | undefined;
}

const SIXTEENTH = 25.4 / 16;

/** What is cut, to which size, of which food, and for how many. */
export function BlockControls({ at, change, question, data, problem }: Props) {
  const [unit] = useUnit();
  const catalogue = useCatalogue();
  const food = catalogue.data?.foods.find((each) => each.id === question.food);
  const size = (key: 't' | 'w' | 'l', label: string, most: number) => {
    const usual = { t: data?.nominal.thickness, w: data?.nominal.width, l: data?.nominal.length }[key];
    const value = at[key] ?? usual;
    if (value === undefined || value === null) return null;
    const step = unit === 'mm' ? 0.1 : SIXTEENTH;
    return (
      <Slider
        label={label}
        value={value}
        min={unit === 'mm' ? 0.5 : SIXTEENTH}
        max={most}
        step={step}
        shown={withUnit(value, unit)}
        error={problem?.at({ t: '/thickness', w: '/width', l: '/length' }[key])}
        onChange={(next) => change({ [key]: Number(next.toFixed(4)) })}
        onReset={at[key] === null ? undefined : () => change({ [key]: null })}
      />
    );
  };
  return (
    <div className={`card ${styles.controls}`}>
      <Picks
        food={question.food}
        cut={question.cut}
        foodError={problem?.at('/food')}
        cutError={problem?.at('/cut')}
        change={change}
      />
      {size('t', 'Thickness', 25.4)}
      {size('w', 'Width', 25.4)}
      {size('l', 'Length', 120)}
      {question.cut === 'wedges' && (
        <NumberInput
          label="Wedges"
          step={2}
          value={at.wedges ?? data?.ways[0]?.pieces ?? ''}
          onChange={(value) => change({ wedges: typed(value) })}
          error={problem?.at('/wedges')}
        />
      )}
      <Produce value={at.measured ? '' : (question.produce ?? 'medium')} change={change} />
      {food && (
        <Measured
          shape={JSON.stringify(data?.shape ?? food.shape)}
          peel={at.peel}
          shapeError={problem?.at('/shape')}
          peelError={problem?.at('/peel')}
          change={change}
        />
      )}
      <Good value={question.good} error={problem?.at('/good')} change={change} />
      <Slider
        label="Come out good"
        value={at.success}
        min={5}
        max={100}
        step={1}
        shown={`${at.success} %`}
        error={problem?.at('/success')}
        onChange={(value) => change({ success: value })}
      />
    </div>
  );
}

interface PicksProps {
  food: string;
  cut: string;
  foodError: string | undefined;
  cutError: string | undefined;
  change: ChangeCut;
}

/** Long lists, drawn again only when another is picked. */
const Picks = memo(function Picks({ food, cut, foodError, cutError, change }: PicksProps) {
  const catalogue = useCatalogue();
  const fresh = { knife: null, onward: null };
  const known = catalogue.data?.foods;
  const toFood = (value: string) => {
    const next = known?.find((each) => each.id === value);
    // The cut stays where the food has it.
    const kept =
      next && isMadeOf(next, cut) ? {} : { cut: next?.taught[0] ?? cut, t: null, w: null, l: null };
    change({ food: value, measured: null, ...kept, ...fresh });
  };
  return (
    <>
      <Select
        label="Food"
        searchable
        allowDeselect={false}
        value={food}
        onChange={(value) => value && toFood(value)}
        data={foodChoices(catalogue.data)}
        error={foodError}
      />
      <Select
        label="Cut"
        searchable
        allowDeselect={false}
        value={cut}
        onChange={(value) => value && change({ cut: value, t: null, w: null, l: null, ...fresh })}
        data={cutChoices(catalogue.data, food)}
        error={cutError}
      />
    </>
  );
});

const Produce = memo(function Produce({ value, change }: { value: string; change: ChangeCut }) {
  return (
    <div>
      <span className={styles.name} id="produce">
        Size of the food
      </span>
      <SegmentedControl
        aria-labelledby="produce"
        fullWidth
        value={value}
        onChange={(next) => change({ produce: next as Api['ProduceSize'], measured: null })}
        data={[
          { value: 'small', label: 'S' },
          { value: 'medium', label: 'M' },
          { value: 'large', label: 'L' },
        ]}
      />
    </div>
  );
});

interface GoodProps {
  value: number;
  error: string | undefined;
  change: ChangeCut;
}

const Good = memo(function Good({ value, error, change }: GoodProps) {
  return (
    <NumberInput
      label="Good pieces for each student"
      min={1}
      max={2000}
      value={value}
      onChange={(next) => change({ good: typed(next) })}
      error={error}
    />
  );
});

interface MeasuredProps {
  /** The shape, written out, so that the same shape is the same value. */
  shape: string;
  peel: number | null;
  shapeError: string | undefined;
  peelError: string | undefined;
  change: ChangeCut;
}

/** The food's own lengths, as one was measured, and what a peeler takes off it. */
const Measured = memo(function Measured({ shape, peel, shapeError, peelError, change }: MeasuredProps) {
  const fields = measures(JSON.parse(shape) as Api['Shape']);
  const sizes = fields.map((field) => field.size);
  return (
    <details className={styles.measured}>
      <summary>Measured, peeled</summary>
      <div>
        {fields.map((field, index) => {
          const set = (value: number | string | null) => {
            if (value === '' || value === null || Number(value) === Number(field.size.toFixed(2))) return;
            change({ measured: sizes.map((old, place) => (place === index ? Number(value) : old)) });
          };
          const error = index === 0 ? shapeError : undefined;
          return field.key === 'grams' ? (
            <NumberInput key="grams" label="Grams" value={field.size} onChange={set} error={error} />
          ) : (
            <LengthInput
              key={field.key}
              label={field.label}
              value={field.size}
              onChange={set}
              error={error}
            />
          );
        })}
        <LengthInput
          label="Peel off each side"
          placeholder="unpeeled"
          value={peel}
          onChange={(value) => change({ peel: value })}
          error={peelError}
        />
      </div>
    </details>
  );
});
