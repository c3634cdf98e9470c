import { usePreparation } from '../../api/queries';
import { Reason } from '../../shared/dock';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';
import styles from './Playbook.module.css';
import type { Selection } from './useAnswer';

/** From the whole food to the chosen cut, step by step: what the instructor says while showing it. */
export function Preparation({ selection }: { selection: Selection }) {
  const { courseId, food, cut, source, student } = selection;
  const asked = { food, cut: cut.cut, knives: source, student: student ?? undefined };
  const { data, error } = usePreparation(courseId, asked);
  if (error) return <Trouble error={error} />;
  if (!data) return null;
  return (
    <section className={styles.preparation} aria-label="From the whole food">
      <h2>From the whole food: {data.title.charAt(0).toLowerCase() + data.title.slice(1)}</h2>
      <p className="quiet">
        {capital(data.opened)}. {data.notes} Trimmings become {data.scraps}.
      </p>
      <ol>
        {data.steps.map((step, index) => (
          <li key={step.cut} className="card">
            <h3>
              <span className="figure">{index + 1}</span> {capital(step.name)}
            </h3>
            <p className="quiet">{step.leaves}</p>
            <p>{step.how}</p>
            <p>
              {step.knife ? (
                <>
                  <strong>{step.knife}</strong> · {step.setup}
                </>
              ) : (
                'No knife at hand may do this here.'
              )}
            </p>
            {step.tools.length > 0 && (
              <p className="quiet">
                Laid out: {step.tools.map((tool) => tool.name).join(', ')}.{' '}
                {step.tools.map((tool) => tool.does).join(' ')}
              </p>
            )}
            <ul>
              {step.cautions.map((caution) => (
                <Reason key={caution.id} kind={caution.severity} title={caution.title} says={caution.text} />
              ))}
            </ul>
          </li>
        ))}
      </ol>
    </section>
  );
}
