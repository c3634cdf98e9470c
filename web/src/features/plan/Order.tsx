import type { Api } from '../../api/client';
import { grams } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import styles from './Plan.module.css';

/** What to order for the whole lesson: what the instructor sends to the kitchen days before the class. */
export function Order({
  lines,
  cost,
}: {
  lines: Api['OrderLine'][];
  cost?: Api['OrderCost'] | null | undefined;
}) {
  if (lines.length === 0) return null;
  return (
    <section className="card" aria-label="To order">
      <h2>To order for this lesson</h2>
      <table className={styles.order}>
        <thead>
          <tr>
            <th scope="col">Food</th>
            <th scope="col">For</th>
            <th scope="col">Of these</th>
            <th scope="col">About</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.what}>
              <th scope="row">
                {line.what}
                {line.allergens.length > 0 && (
                  <small className="quiet">Allergen: {line.allergens.join(', ')}</small>
                )}
              </th>
              <td>{line.cuts.join('; ')}</td>
              <td className="quiet">
                {line.students} for students,{' '}
                {line.demonstration > 0 ? `${line.demonstration} to show` : 'shown from what is over'},{' '}
                {line.spare} spare
              </td>
              <td className="mono">{grams(line.grams)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {cost && (
        <p data-kind={cost.over ? 'caution' : undefined} className={cost.over ? 'chip' : 'quiet'}>
          {cost.over && <Mark kind="caution" />} <Said>{cost.words}</Said>
        </p>
      )}
    </section>
  );
}
