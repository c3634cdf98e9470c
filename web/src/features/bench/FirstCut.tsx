import { memo } from 'react';
import type { Api } from '../../api/client';
import { percent, useUnit, withUnit } from '../../shared/format';
import { SizeRule } from '../../shared/rule';
import styles from './Bench.module.css';
import type { ChangeCut } from './question';
import { Slider } from './Slider';
import { Figure } from './Ways';

interface Props {
  /** Julienne of carrot. */
  title: string;
  carried: Api['Carried'];
  /** The errors, written out, so that the same errors are the same value. */
  written: string;
  onChange: ChangeCut;
}

/** The first cut decides: errors along the chain, what arrives, and what would be read back from it. */
export const FirstCut = memo(function FirstCut({ title, carried, written, onChange }: Props) {
  const errors = JSON.parse(written) as Api['CutErrors'];
  const [unit] = useUnit();
  const slide = (
    key: 'first' | 'plank' | 'stick' | 'off' | 'lean' | 'uneven',
    label: string,
    value: number,
    [min, max, step]: [number, number, number],
    shown: string,
  ) => (
    <Slider
      label={label}
      value={value}
      min={min}
      max={max}
      step={step}
      shown={shown}
      onChange={(next) => onChange({ [key]: next })}
    />
  );
  const off = (mm: number) => `${mm < 0 ? '−' : ''}${withUnit(Math.abs(mm), unit)}`;
  const uneven = Math.round(errors.step_cv * 100);
  const lean = errors.lean_degrees;
  return (
    <section className="card stack" aria-label="The first cut decides">
      <h2>The first cut decides</h2>
      <div className={styles.ways}>
        {slide(
          'first',
          'First plank too thick by',
          errors.first_plank_bias,
          [-3, 3, 0.1],
          off(errors.first_plank_bias),
        )}
        {slide('plank', 'All planks too thick by', errors.plank_bias, [-3, 3, 0.1], off(errors.plank_bias))}
        {slide('stick', 'Sticks too wide by', errors.stick_bias, [-3, 3, 0.1], off(errors.stick_bias))}
        {slide('off', 'Lengths too long by', errors.length_bias, [-10, 10, 0.5], off(errors.length_bias))}
        {slide('lean', 'The blade leans', lean, [0, 20, 1], `${lean}°`)}
        {slide('uneven', 'Steps uneven by', uneven, [0, 40, 1], `${uneven} %`)}
      </div>
      <p role="status">
        <strong>{carried.words}</strong>
      </p>
      <dl className={styles.figures}>
        <Figure name="thickness inside" value={percent(carried.thickness.inside)} />
        <Figure name="width inside" value={percent(carried.width.inside)} />
        <Figure name="length inside" value={percent(carried.length.inside)} />
        <Figure
          name={`all three, tried on ${carried.pieces.toLocaleString('en')} pieces`}
          value={`${percent(carried.tried)} ± ${(carried.error * 100).toFixed(1)} %`}
        />
        <Figure name="spread of widths" value={`${carried.width.sd.toFixed(2)} mm`} />
        <Figure name="by the formula" value={`${(carried.width.closed_form[1] ?? 0).toFixed(2)} mm`} />
      </dl>
      {carried.thicknesses && (
        <div>
          <h3>Thickness of finished pieces of {title.toLowerCase()}</h3>
          <SizeRule side={carried.thicknesses} unit={unit} />
        </div>
      )}
      {carried.widths && (
        <div>
          <h3>Width</h3>
          <SizeRule side={carried.widths} unit={unit} />
        </div>
      )}
      <p>
        <strong>Read back from ten pieces taken unseen.</strong> {carried.read_back.words}
      </p>
    </section>
  );
});
