import type { Api } from '../../api/client';
import { capital, spaced } from '../format';
import { Wood } from './Wood';

const PLACE = 22;

const words: Record<Api['NotchState']['kind'], string> = { open: 'open', cut: 'cut', lapsed: 'lapsed' };

/** One strand's rule: five places; a cut notch is cut out, a lapsed one struck through, an open one a dot. */
export function NotchRule({ rule, height = 22 }: { rule: Api['StrandRule']; height?: number }) {
  const width = PLACE * 5 + 6;
  const label = `${capital(rule.strand)}: ${rule.notches.map((n) => `${spaced(n.kind)} ${words[n.state.kind]}`).join(', ')}`;
  return (
    <svg
      width="100%"
      style={{ maxWidth: width }}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
    >
      <Wood
        from={0}
        to={5}
        width={width}
        height={height}
        x={(value) => 3 + value * PLACE}
        figures={false}
        fine={false}
      />
      {rule.notches.map((notch, index) => (
        <NotchShape
          key={notch.kind}
          kind={notch.state.kind}
          x={3 + index * PLACE + PLACE / 2}
          height={height}
        />
      ))}
    </svg>
  );
}

function NotchShape({ kind, x, height }: { kind: Api['NotchState']['kind']; x: number; height: number }) {
  const depth = height * 0.62;
  if (kind === 'open') {
    return (
      <circle
        cx={x}
        cy={height * 0.62}
        r={2.4}
        fill="none"
        stroke="var(--beech-ink)"
        strokeWidth={1.2}
        opacity={0.75}
      />
    );
  }
  if (kind === 'cut') {
    return (
      <path
        d={`M${x - 8} 0.5h16l-8 ${depth}z`}
        fill="var(--wood-deep)"
        stroke="var(--beech-ink)"
        strokeWidth={1.5}
        strokeLinejoin="round"
      />
    );
  }
  return (
    <g stroke="var(--stop)" strokeWidth={1.8} fill="var(--stop-tint)">
      <path d={`M${x - 8} 0.8h16l-8 ${depth}z`} strokeLinejoin="round" />
      <path d={`M${x - 8} ${depth} ${x + 8} 2`} />
    </g>
  );
}
