import type { Api } from '../../api/client';

/** A cell of the matrix: the deeper the notch in the wood, the better the fit; refused has no wood. */
export function FitGlyph({ cell, fits }: { cell: Api['MatrixCell']; fits: number }) {
  if (cell.refused) {
    return (
      <svg width="34" height="24" viewBox="0 0 34 24" aria-hidden>
        <path d="M13 6h8l4 4v5l-4 4h-8l-4-4v-5z" fill="none" stroke="var(--stop)" strokeWidth="1.6" />
        <path d="M12.5 12.5h9" stroke="var(--stop)" strokeWidth="1.8" />
      </svg>
    );
  }
  const depth = 2 + (cell.score / 100) * 20;
  const good = cell.score >= fits;
  return (
    <svg width="34" height="24" viewBox="0 0 34 24" aria-hidden>
      <rect x="1" y="1" width="32" height="22" rx="1.5" fill="var(--beech)" stroke="var(--beech-edge)" />
      <path
        d={`M7 1h20L17 ${1 + depth}z`}
        fill={good ? 'var(--wood-deep)' : 'none'}
        stroke="var(--beech-ink)"
        strokeWidth="1.4"
        strokeDasharray={good ? undefined : '2.5 2'}
        strokeLinejoin="round"
      />
    </svg>
  );
}

/** Reasons of a fit, refusals first, as they are told everywhere. */
export const weighed = (findings: Api['Finding'][]) =>
  findings.map((finding) => ({
    finding,
    kind: finding.effect.kind === 'for' ? 'held' : finding.effect.kind === 'refuse' ? 'stop' : 'caution',
  })) as { finding: Api['Finding']; kind: 'held' | 'stop' | 'caution' }[];
