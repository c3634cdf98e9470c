import type { Api } from '../../api/client';
import { day, percent } from '../../shared/format';
import styles from './Yard.module.css';

const WIDTH = 280;
const HEIGHT = 110;
const BASE = 86;

/** Share inside of each blind sample over time, with what each proves as the foot of its bar, and the share
 * that must be proven. */
export function Trend({ attempts, mustProve }: { attempts: Api['Attempt'][]; mustProve: number }) {
  const samples = attempts
    .flatMap((attempt) =>
      attempt.samples
        .filter((s) => s.custom === 'blind_ten')
        .map((sample) => ({ on: attempt.on_day, ...sample.verdict.inside })),
    )
    .reverse()
    .slice(-12);
  if (samples.length < 2) return null;
  const x = (index: number) => 16 + (index * (WIDTH - 32)) / (samples.length - 1);
  const y = (share: number) => BASE - share * (BASE - 14);
  const last = samples.at(-1);
  const first = samples[0];
  return (
    <figure style={{ margin: 0 }}>
      <figcaption>
        <strong>Blind samples</strong>{' '}
        <span className="quiet">share inside; the bar’s foot is what it proves</span>
      </figcaption>
      <svg
        className={styles.trend}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Share inside over ${samples.length} blind samples, the last ${last ? percent(last.share) : ''}`}
      >
        <rect x={0} y={y(1)} width={WIDTH} height={y(mustProve) - y(1)} fill="var(--held-tint)" />
        <line
          x1={0}
          x2={WIDTH}
          y1={y(mustProve)}
          y2={y(mustProve)}
          stroke="var(--held)"
          strokeDasharray="4 3"
        />
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--line-strong)" />
        {samples.map((s, index) => (
          <line
            key={index}
            x1={x(index)}
            x2={x(index)}
            y1={y(s.share)}
            y2={y(s.proves)}
            stroke="var(--accent)"
            strokeWidth={6}
            opacity={0.35}
            strokeLinecap="round"
          />
        ))}
        <polyline
          points={samples.map((s, index) => `${x(index)},${y(s.share)}`).join(' ')}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={1.8}
        />
        {samples.map((s, index) => (
          <circle key={index} cx={x(index)} cy={y(s.share)} r={3.6} fill="var(--accent)" />
        ))}
        <text x={0} y={HEIGHT - 6} fontSize={13} fill="var(--ink-2)">
          {first ? day(first.on) : ''}
        </text>
        <text x={WIDTH} y={HEIGHT - 6} fontSize={13} textAnchor="end" fill="var(--ink-2)">
          {last ? day(last.on) : ''}
        </text>
        <text x={WIDTH / 2} y={HEIGHT - 6} fontSize={13} textAnchor="middle" fill="var(--held)">
          dashed: {percent(mustProve)}
        </text>
      </svg>
    </figure>
  );
}
