import { memo } from 'react';
import type { Api } from '../../api/client';
import { Section } from '../../shared/drawing';
import { capital, counted, grams, minutes, percent, useUnit, withUnit } from '../../shared/format';
import { Said } from '../../shared/Said';
import styles from './Bench.module.css';

export function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="figure">{value}</dd>
    </div>
  );
}

/** The figures of one way of working. */
export function WayFigures({ way }: { way: Api['BenchWay'] }) {
  return (
    <dl className={styles.figures}>
      <Figure name="pieces" value={counted(way.pieces)} />
      {way.partial > 0 && <Figure name="not whole" value={counted(way.partial)} />}
      <Figure name="strokes" value={counted(way.strokes)} />
      <Figure name="minutes" value={minutes(way.minutes)} />
      <Figure name="of it in pieces" value={percent(way.share)} />
      <Figure name="trimmed" value={grams(way.trimmed_grams)} />
      {way.ends_grams > 0 && <Figure name="ends" value={grams(way.ends_grams)} />}
      {way.core_grams > 0 && <Figure name="core" value={grams(way.core_grams)} />}
      {way.peel_grams > 0 && <Figure name="peel" value={grams(way.peel_grams)} />}
    </dl>
  );
}

/** Each way of working in section, with its figures, and how they differ. */
export const Ways = memo(function Ways({
  data,
  tint,
}: {
  data: Api['BenchView'];
  tint: Api['Tint'] | undefined;
}) {
  return (
    <>
      {data.no_count && <p className="card">{capital(data.no_count)}.</p>}
      {data.nothing_fits && (
        <p className="card" role="status">
          <Said>{data.nothing_fits}</Said>
        </p>
      )}
      <Facts facts={data.facts} />
      <div className={styles.ways}>
        {data.ways.map((way) => (
          <section key={way.way} className="card stack" aria-label={way.name}>
            <h2>{way.name}</h2>
            {data.outline && (
              <Section
                drawing={{ outline: data.outline, pieces: way.pieces_drawn }}
                size={200}
                tint={tint}
                label={`Section, ${way.name.toLowerCase()}`}
              />
            )}
            <WayFigures way={way} />
            <p className="quiet">
              Minutes for one, by pace:{' '}
              {way.minutes_by_pace.map((each) => `${each.pace} ${minutes(each.minutes)}`).join(' · ')}
            </p>
          </section>
        ))}
      </div>
      {data.difference && (
        <p role="status">
          <strong>
            <Said>{data.difference}</Said>
          </strong>
        </p>
      )}
    </>
  );
});

/** Figures of cuts that are not counted from blocks. */
function Facts({ facts }: { facts: Api['BenchFact'][] }) {
  const [unit] = useUnit();
  if (facts.length === 0) return null;
  const shown = (value: Api['FactValue']) => {
    switch (value.kind) {
      case 'length':
        return withUnit(value.length, unit);
      case 'count':
        return String(value.count);
      case 'share':
        return percent(value.share);
      case 'grams':
        return grams(value.grams);
      case 'degrees':
        return `${Math.round(value.degrees)}°`;
    }
  };
  return (
    <section className="card" aria-label="Figures of this cut">
      <dl className={styles.figures}>
        {facts.map((fact) => (
          <Figure key={fact.name} name={fact.name} value={shown(fact.value)} />
        ))}
      </dl>
    </section>
  );
}
