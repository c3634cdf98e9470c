import type { Api } from '../../api/client';

const THIRDS: Api['Third'][] = ['tip', 'middle', 'heel'];

/** A knife from its figures. `scale` is pixels a millimetre; knives at one scale compare truly. */
export function Knife({
  silhouette,
  scale,
  third,
  mirrored,
  label,
}: {
  silhouette: Api['Silhouette'];
  scale: number;
  /** Third of the blade to mark. */
  third?: Api['Third'];
  /** Drawn for the left hand. */
  mirrored?: boolean;
  label: string;
}) {
  const { width, height, heel } = silhouette;
  const marked = third ? THIRDS.indexOf(third) : -1;
  const id = `blade-${label.replace(/\W+/g, '-')}-${third ?? ''}`;
  return (
    <svg
      width={width * scale}
      height={(height + 4) * scale}
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      role="img"
      aria-label={third ? `${label}, ${third} third marked` : label}
      style={{ maxWidth: '100%', transform: mirrored ? 'scaleX(-1)' : undefined }}
    >
      <clipPath id={id}>
        <path d={silhouette.blade} />
      </clipPath>
      <path d={silhouette.blade} fill="var(--steel)" />
      {marked >= 0 && (
        <rect
          x={(heel * marked) / 3}
          y={-2}
          width={heel / 3}
          height={height + 4}
          fill="var(--accent)"
          opacity={0.45}
          clipPath={`url(#${id})`}
        />
      )}
      <path d={silhouette.blade} fill="none" stroke="var(--steel-edge)" strokeWidth={1.6} />
      <path d={silhouette.handle} fill="var(--handle)" stroke="var(--steel-edge)" strokeWidth={1} />
    </svg>
  );
}
