import { useId } from 'react';
import styles from './Bench.module.css';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** The value as it is read, with its unit. */
  shown: string;
  error?: string;
  onChange: (value: number) => void;
  /** Back to the usual value, where it was changed. */
  onReset?: () => void;
}

/** A figure that is dragged, with the browser's own slider: it works by keyboard and touch. */
export function Slider({ label, value, min, max, step, shown, error, onChange, onReset }: Props) {
  const id = useId();
  return (
    <div className={styles.slider}>
      <div>
        <label htmlFor={id}>{label}</label>
        {onReset && (
          <button type="button" onClick={onReset} aria-label={`${label}: back to the standard`}>
            standard
          </button>
        )}
        <strong className="figure">{shown}</strong>
      </div>
      <input
        id={id}
        type="range"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={shown}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        onChange={(event) => onChange(Number(event.currentTarget.value))}
      />
      {error && (
        <p id={`${id}-error`} className={styles.error}>
          {error}
        </p>
      )}
    </div>
  );
}
