import styles from './Dock.module.css';
import { Mark } from '../mark';
import type { MarkKind } from '../mark';
import { Said } from '../Said';
import type { Sentence } from '../sentence';

/** The dock: reasons and cautions, always about what is selected. */
export function Dock({
  label,
  wide,
  near,
  children,
}: {
  label: string;
  wide?: boolean;
  /** On a phone it stays in sight, below what is selected. */
  near?: boolean;
  children: React.ReactNode;
}) {
  return (
    <aside
      // It scrolls, so the keyboard must be able to reach it.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      className={styles.dock}
      data-wide={wide || undefined}
      data-near={near || undefined}
      aria-label={label}
    >
      {children}
    </aside>
  );
}

/** A reason with the shape of its state. */
export function Reason({
  kind,
  title,
  says,
  children,
}: {
  kind: MarkKind;
  title?: Sentence | string | undefined;
  /** What the core says of it. */
  says?: Sentence | undefined;
  children?: React.ReactNode;
}) {
  return (
    <li className={styles.reason}>
      <Mark kind={kind} size={18} label={kind !== 'note'} />
      <span>
        {title && (
          <strong>
            <Said>{title}</Said>{' '}
          </strong>
        )}
        {says && <Said>{says}</Said>}
        {children}
      </span>
    </li>
  );
}

/** The limits of all advice, said in every dock that gives some. */
export function Disclaimer({ children }: { children: React.ReactNode }) {
  return <p className={styles.disclaimer}>{children}</p>;
}
