import type { Api } from '../../api/client';
import { grams } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import styles from './Produce.module.css';

const money = (cost: number | null | undefined) => (cost == null ? '' : cost.toFixed(2));

/** What to order, line by line, and what it costs. */
export function OrderTable({
  lines,
  cost,
}: {
  lines: Api['OrderLine'][];
  cost: Api['OrderCost'] | null | undefined;
}) {
  const priced = lines.some((line) => line.cost != null);
  return (
    <>
      <div className={styles.scroll}>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Food</th>
              <th scope="col">For</th>
              <th scope="col">Of these</th>
              <th scope="col">About</th>
              {priced && <th scope="col">Costs</th>}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={`${line.food} ${line.size}`}>
                <th scope="row">
                  {line.what}
                  {line.packs && <small className="quiet">{line.packs}</small>}
                  {line.allergens.length > 0 && (
                    <small className="quiet">Allergen: {line.allergens.join(', ')}</small>
                  )}
                </th>
                <td>{[...new Set(line.cuts)].join('; ')}</td>
                <td className="quiet">
                  {line.students} for students,{' '}
                  {line.demonstration > 0 ? `${line.demonstration} to show` : 'shown from what is over'},{' '}
                  {line.spare} spare
                </td>
                <td className="mono">{grams(line.grams)}</td>
                {priced && <td className="mono">{money(line.cost)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {cost && (
        <p data-kind={cost.over ? 'caution' : undefined} className={cost.over ? 'chip' : 'quiet'}>
          {cost.over && <Mark kind="caution" />} <Said>{cost.words}</Said>
        </p>
      )}
    </>
  );
}
