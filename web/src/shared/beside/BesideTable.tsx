import type { Api } from '../../api/client';
import { Said } from '../Said';
import styles from './Beside.module.css';

interface Props {
  /** What stands at the head of each column. */
  heads: React.ReactNode[];
  rows: Api['BesideRow'][];
}

/** Several things beside each other: one row a figure, how they differ in the row, the better one marked. */
export function BesideTable({ heads, rows }: Props) {
  return (
    // It scrolls on a narrow screen, so the keyboard must be able to reach it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className={styles.scroll} role="region" aria-label="Row by row" tabIndex={0}>
      <table className={styles.table}>
        <thead>
          <tr>
            <td />
            {heads.map((head, index) => (
              <th key={index} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name}>
              <th scope="row">{row.name}</th>
              {row.values.map((value, index) => (
                <td key={index} className={row.better === index ? styles.better : undefined}>
                  <span className="mono">{value ? <Said>{value}</Said> : 'not counted'}</span>
                  {row.better === index && <span className={styles.mark}> better</span>}
                  {index > 0 && row.differences[index - 1] && (
                    <div className="quiet">
                      <Said>{row.differences[index - 1] ?? []}</Said>
                    </div>
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
