import { NumberInput, SegmentedControl, Select } from '@mantine/core';
import type { Api, ApiProblem } from '../../api/client';
import { useCatalogue, useCourse } from '../../api/queries';
import type { useAddress } from '../../shared/address';
import { capital, useUnit, withUnit } from '../../shared/format';
import styles from './Bench.module.css';
import { measures } from './question';
import { Slider } from './Slider';

interface Props {
  courseId: number;
  at: ReturnType<typeof useAddress>;
  question: Api['BenchQuestion'];
  data: Api['BenchView'] | undefined;
  problem: ApiProblem | undefined;
}

const nominal = (size: Api['TargetSize'] | null | undefined) =>
  !size
    ? undefined
    : size.kind === 'exact'
      ? size.size
      : size.kind === 'range'
        ? (size.from + size.to) / 2
        : size.limit;

const SIXTEENTH = 25.4 / 16;

/** What is cut, to which size, of which food, and for how many. */
export function BlockControls({ courseId, at, question, data, problem }: Props) {
  const [unit] = useUnit();
  const catalogue = useCatalogue();
  const course = useCourse(courseId);
  const taught = catalogue.data?.sets.find((set) => set.id === course.data?.course.standard_set)?.cuts ?? {};
  const food = catalogue.data?.foods.find((each) => each.id === question.food);
  const fresh = { measured: null, knife: null, onward: null };
  const size = (key: 't' | 'w' | 'l', label: string, most: number) => {
    const target = { t: data?.target.thickness, w: data?.target.width, l: data?.target.length }[key];
    const value = at.optional(key) ?? nominal(target);
    if (value === undefined) return null;
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
        onChange={(next) => at.change({ [key]: Number(next.toFixed(4)) })}
        onReset={at.optional(key) === null ? undefined : () => at.change({ [key]: null })}
      />
    );
  };
  return (
    <div className={`card ${styles.controls}`}>
      <Select
        label="Food"
        searchable
        allowDeselect={false}
        value={question.food}
        onChange={(value) => value && at.change({ food: value, ...fresh })}
        data={(catalogue.data?.foods ?? []).map((f) => ({ value: f.id, label: capital(f.name) }))}
        error={problem?.at('/food')}
      />
      <Select
        label="Cut"
        searchable
        allowDeselect={false}
        value={question.cut}
        onChange={(value) =>
          value && at.change({ cut: value, t: null, w: null, l: null, knife: null, onward: null })
        }
        data={(catalogue.data?.cuts ?? [])
          .filter((c) => c.id in taught)
          .map((c) => ({ value: c.id, label: capital(c.name) }))}
        error={problem?.at('/cut')}
      />
      {size('t', 'Thickness', 25.4)}
      {size('w', 'Width', 25.4)}
      {size('l', 'Length', 120)}
      {question.cut === 'wedges' && (
        <NumberInput
          label="Wedges"
          step={2}
          value={at.optional('wedges') ?? data?.ways[0]?.pieces ?? ''}
          onChange={(value) => at.change({ wedges: value })}
          error={problem?.at('/wedges')}
        />
      )}
      <div>
        <span className={styles.name} id="produce">
          Size of the food
        </span>
        <SegmentedControl
          aria-labelledby="produce"
          fullWidth
          value={
            at.optional('peel') === null && at.word('measured', '') ? '' : (question.produce ?? 'medium')
          }
          onChange={(value) => at.change({ produce: value === 'medium' ? null : value, measured: null })}
          data={[
            { value: 'small', label: 'S' },
            { value: 'medium', label: 'M' },
            { value: 'large', label: 'L' },
          ]}
        />
      </div>
      {food && (
        <details className={styles.measured}>
          <summary>Measured, peeled</summary>
          <Measured at={at} shape={data?.shape ?? food.shape} problem={problem} />
          <NumberInput
            label="Peel off each side, mm"
            placeholder="unpeeled"
            min={0}
            max={5}
            step={0.2}
            value={at.optional('peel') ?? ''}
            onChange={(value) => at.change({ peel: value })}
            error={problem?.at('/peel')}
          />
        </details>
      )}
      <NumberInput
        label="Good pieces for each student"
        min={1}
        max={2000}
        value={question.good}
        onChange={(value) => at.change({ good: value })}
        error={problem?.at('/good')}
      />
      <Slider
        label="Come out good"
        value={at.number('success', 80)}
        min={5}
        max={100}
        step={1}
        shown={`${at.number('success', 80)} %`}
        error={problem?.at('/success')}
        onChange={(value) => at.change({ success: value })}
      />
    </div>
  );
}

/** The food's own lengths, as one was measured. */
function Measured({
  at,
  shape,
  problem,
}: {
  at: ReturnType<typeof useAddress>;
  shape: Api['Shape'];
  problem: ApiProblem | undefined;
}) {
  const fields = measures(shape);
  const sizes = fields.map((field) => field.size);
  return (
    <>
      {fields.map((field, index) => (
        <NumberInput
          key={field.key}
          label={`${field.label}, mm`}
          value={Number(field.size.toFixed(1))}
          onChange={(value) => {
            if (value === '' || Number(value) === field.size) return;
            at.change({ measured: sizes.map((old, place) => (place === index ? value : old)).join() });
          }}
          error={index === 0 ? problem?.at('/shape') : undefined}
        />
      ))}
    </>
  );
}
