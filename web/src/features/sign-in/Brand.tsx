import styles from './SignIn.module.css';

/** The name of the program over a form, with its notch. */
export function Brand() {
  return (
    <h1 className={styles.brand}>
      <svg width="36" height="24" viewBox="0 0 30 20" aria-hidden>
        <rect x="0.5" y="3.5" width="29" height="14" fill="var(--beech)" stroke="var(--beech-edge)" />
        <path d="M8 3.5h14l-7 9z" fill="var(--wood-deep)" stroke="var(--beech-ink)" strokeWidth="1.4" />
      </svg>
      Yard Notch
    </h1>
  );
}
