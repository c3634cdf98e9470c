import { Button } from '@mantine/core';
import { memo } from 'react';
import type { Api } from '../../api/client';
import { percent } from '../../shared/format';
import { Said } from '../../shared/Said';
import styles from './Bench.module.css';

type Kind = Api['Method']['kind'];

export const METHODS: { value: Kind; label: string }[] = [
  { value: 'verticals', label: 'Verticals' },
  { value: 'below', label: 'Radial, below the board' },
  { value: 'centre', label: 'Radial, to the centre' },
  { value: 'turned', label: 'Last third turned' },
  { value: 'half_rings', label: 'Half-rings turned' },
  { value: 'level', label: 'With level cuts' },
];

/** Depths to two figures: nearer nobody aims. */
const radii = (depth: number) => Number(depth.toPrecision(2));

interface Props {
  choice: Api['RankedMethods'];
  onTake: (each: Api['MethodAtBest']) => void;
}

/** Every way compared at its best, and what more strokes buy. */
export const Ranked = memo(function Ranked({ choice, onTake }: Props) {
  return (
    <>
      <p role="status">
        <strong>
          <Said>{choice.words}</Said>
        </strong>
      </p>
      {choice.found.length > 0 && (
        <div style={{ overflowX: 'auto', position: 'relative' }}>
          <table className={styles.table} aria-label="Ways compared">
            <thead>
              <tr>
                <th scope="col">Way</th>
                <th scope="col">Cuts</th>
                <th scope="col">Wanted</th>
                <th scope="col">Ribbons</th>
                <th scope="col">Strokes</th>
                <th scope="col">Aim, radii</th>
                <th scope="col">
                  <span className="visually-hidden">Look at it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {choice.found.map((each) => (
                <tr key={each.method.kind}>
                  <th scope="row">
                    {METHODS.find((method) => method.value === each.method.kind)?.label ?? each.method.kind}
                  </th>
                  <td className="mono">{each.cuts}</td>
                  <td className="mono">{percent(each.wanted)}</td>
                  <td className="mono">{percent(each.ribbons)}</td>
                  <td className="mono">{each.strokes}</td>
                  <td className="mono">
                    {each.depths ? [...new Set(each.depths.map(radii))].join('–') : ''}
                  </td>
                  <td>
                    <Button
                      size="xs"
                      variant="default"
                      onClick={() => onTake(each)}
                      aria-label={`Look at ${each.method.kind}`}
                    >
                      Look
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {choice.trade.length > 1 && <Trade trade={choice.trade} />}
    </>
  );
});

/** Evenness against strokes. */
function Trade({ trade }: { trade: Api['Trade'][] }) {
  const most = Math.max(1, ...trade.map((point) => point.strokes));
  const least = Math.min(most, ...trade.map((point) => point.strokes));
  const x = (strokes: number) => 34 + ((strokes - least) / Math.max(1, most - least)) * 296;
  const y = (share: number) => 104 - share * 92;
  return (
    <svg
      viewBox="0 0 350 130"
      width="100%"
      style={{ maxWidth: 520 }}
      role="img"
      aria-label="Share of the wanted size by strokes"
    >
      <path d="M34 8V104H338" fill="none" stroke="var(--ink-2)" />
      <path
        d={trade.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.strokes)} ${y(p.wanted)}`).join('')}
        fill="none"
        stroke="var(--accent)"
        strokeWidth="2"
      />
      {trade.map((p) => (
        <circle key={p.strokes} cx={x(p.strokes)} cy={y(p.wanted)} r="3" fill="var(--accent)" />
      ))}
      <g fontSize="11" fill="var(--ink-2)">
        <text x="34" y="122">
          {least} strokes
        </text>
        <text x="338" y="122" textAnchor="end">
          {most} strokes
        </text>
        <text x="30" y="16" textAnchor="end">
          all
        </text>
        <text x="30" y="107" textAnchor="end">
          0
        </text>
      </g>
    </svg>
  );
}
