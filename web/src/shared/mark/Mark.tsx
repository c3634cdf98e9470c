/** State by shape as well as by colour: open circle, filled notch, triangle, octagon, struck notch. */
export type MarkKind = 'todo' | 'held' | 'caution' | 'stop' | 'lapsed' | 'note' | 'watch';

const words: Record<MarkKind, string> = {
  todo: 'to do',
  held: 'held',
  caution: 'caution',
  stop: 'stop',
  lapsed: 'lapsed',
  note: 'note',
  watch: 'watch',
};

const shapes: Record<MarkKind, React.ReactNode> = {
  todo: <circle cx="8" cy="8" r="5.5" fill="none" stroke="var(--ink-2)" strokeWidth="2" />,
  held: <path d="M1 2h14v12H1z M4 2l4 8 4-8z" fillRule="evenodd" fill="var(--held)" />,
  caution: (
    <>
      <path
        d="M8 1.5 15 14H1z"
        fill="var(--caution-tint)"
        stroke="var(--caution)"
        strokeWidth="1.8"
        strokeLinejoin="round"
      />
      <path d="M8 6v4M8 11.4v1" stroke="var(--caution)" strokeWidth="1.8" />
    </>
  ),
  stop: (
    <>
      <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill="var(--stop)" />
      <path d="M4.5 8h7" stroke="var(--card)" strokeWidth="2.4" />
    </>
  ),
  lapsed: (
    <>
      <path d="M2 2h12L8 13z" fill="none" stroke="var(--stop)" strokeWidth="1.8" />
      <path d="M2 13 14 2" stroke="var(--stop)" strokeWidth="1.8" />
    </>
  ),
  note: <path d="M2 8h12" stroke="var(--ink-2)" strokeWidth="2.4" strokeLinecap="round" />,
  watch: (
    <>
      <path d="M1 8c4-6 10-6 14 0-4 6-10 6-14 0z" fill="none" stroke="var(--accent)" strokeWidth="1.7" />
      <circle cx="8" cy="8" r="2.4" fill="var(--accent)" />
    </>
  ),
};

/** A status shape. Without `label` it is decoration beside words that say the same. */
export function Mark({ kind, size = 16, label }: { kind: MarkKind; size?: number; label?: boolean }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      role={label ? 'img' : undefined}
      aria-label={label ? words[kind] : undefined}
      aria-hidden={label ? undefined : true}
      style={{ flex: 'none' }}
    >
      {shapes[kind]}
    </svg>
  );
}
