import { useId } from 'react';
import type { Api } from '../../api/client';
import { Mark } from '../../shared/mark';
import { useSaid } from '../../shared/Said';
import styles from './Plan.module.css';

interface Option<T> {
  value: T;
  name: string;
  fit: Api['Fit'];
  /** Cannot even be looked at as a choice, e.g. one dull knife of a model. */
  disabled?: boolean;
}

interface Props<T extends string> {
  legend: string;
  options: Option<T>[];
  value: T | undefined;
  onChange: (value: T) => void;
  error?: string;
}

/** The options of one part of the setup. A refused one can be looked at, never saved. */
export function Options<T extends string>({ legend, options, value, onChange, error }: Props<T>) {
  const name = useId();
  const said = useSaid();
  const chosen = options.find((option) => option.value === value);
  const objection = chosen?.fit.findings.find((finding) => finding.effect.kind !== 'for');
  return (
    <fieldset className={styles.options}>
      <legend>{legend}</legend>
      <div className={styles.list}>
        {options.map((option) => {
          const against = option.fit.findings.some((finding) => finding.effect.kind === 'against');
          const kind = option.fit.refused ? 'stop' : against ? 'caution' : 'held';
          return (
            <label
              key={option.value}
              className={styles.option}
              data-refused={option.fit.refused}
              title={said(option.fit.findings[0]?.words)}
            >
              <input
                type="radio"
                name={name}
                value={option.value}
                checked={option.value === value}
                disabled={option.disabled}
                onChange={() => onChange(option.value)}
              />
              <Mark kind={kind} size={14} />
              {option.name}
              <span className="visually-hidden">
                {option.fit.refused ? ', refused' : against ? ', with a warning' : ''}:{' '}
                {said(option.fit.findings[0]?.words)}
              </span>
            </label>
          );
        })}
      </div>
      {(error ?? objection) && (
        <p className={styles.why} role="status">
          {error ?? said(objection?.words)}
        </p>
      )}
    </fieldset>
  );
}
