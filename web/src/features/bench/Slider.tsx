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
  onChange: (value: number) => void;
}

/** A figure that is dragged, with the browser's own slider: it works by keyboard and touch. */
export function Slider({ label, value, min, max, step, shown, onChange }: Props) {
  const id = useId();
  return (
    <div className={styles.slider}>
      <label htmlFor={id}>
        <span>{label}</span>
        <strong className="figure">{shown}</strong>
      </label>
      <input
        id={id}
        type="range"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={shown}
        onChange={(event) => onChange(Number(event.currentTarget.value))}
      />
    </div>
  );
}
