import { SegmentedControl } from '@mantine/core';
import type { Api } from '../../api/client';
import { length, useUnit } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import { differences, SIDES } from './making';
import { sizeIn } from './size';
import styles from './Plan.module.css';

interface Props {
  making: Api['Making'];
  /** Sticks and dice can be worked in two ways. */
  sticks: boolean;
  /** The food has a peel. */
  peels: boolean;
  /** The course's target for the cut. */
  standard: Api['Target'] | undefined;
  change: (making: Api['Making']) => void;
  at: (pointer: string) => string | undefined;
}

/** Sizes of its own, the way of working, the size of the produce: what the Bench pins, and what can be set here. */
export function MakingFields({ making, sticks, peels, standard, change, at }: Props) {
  const [unit] = useUnit();
  const words = differences(making);
  const nominal = (size: Api['TargetSize'] | null | undefined) =>
    size?.kind === 'exact' ? length(size.size, unit) : undefined;
  return (
    <details className={styles.making} open={words !== ''}>
      <summary>Made another way{words && `: ${words}`}</summary>
      <div>
        {standard && <p className="quiet">The course’s size is {sizeIn(standard, unit)}.</p>}
        <div className={styles.sides}>
          {SIDES.filter((side) => standard?.[side]).map((side) => (
            <LengthInput
              key={side}
              label={side.charAt(0).toUpperCase() + side.slice(1)}
              placeholder={nominal(standard?.[side])}
              value={making[side]}
              onChange={(size) => change({ ...making, [side]: size })}
              error={at(`/making/${side}`)}
            />
          ))}
        </div>
        {sticks && (
          <SegmentedControl
            fullWidth
            aria-label="Way of working"
            value={making.way}
            onChange={(way) => change({ ...making, way: way as Api['Making']['way'] })}
            data={[
              { value: 'squared', label: 'squared' },
              { value: 'flat_first', label: 'flat first' },
            ]}
          />
        )}
        {peels && (
          <LengthInput
            label="Peel off each side"
            placeholder="as usual"
            value={making.peel}
            onChange={(peel) => change({ ...making, peel })}
            error={at('/making/peel')}
          />
        )}
        <SegmentedControl
          fullWidth
          aria-label="Size of the produce"
          value={making.produce}
          onChange={(produce) => change({ ...making, produce: produce as Api['Making']['produce'] })}
          data={[
            { value: 'small', label: 'small' },
            { value: 'medium', label: 'usual' },
            { value: 'large', label: 'large' },
          ]}
        />
      </div>
    </details>
  );
}
