import { Select } from '@mantine/core';
import type { Api } from '../../api/client';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';

interface Props {
  cases: Api['AllergyCase'][];
  fields: Api['ProduceFields'];
  onChange: (fields: Api['ProduceFields']) => void;
}

/** Who may not have a food of the lesson, and what they cut in place of it. */
export function Allergies({ cases, fields, onChange }: Props) {
  if (cases.length === 0) return null;
  const choose = (exercise_id: number, food: string | null) => {
    const others = (fields.instead ?? []).filter((each) => each.exercise_id !== exercise_id);
    onChange({ ...fields, instead: food ? [...others, { exercise_id, food }] : others });
  };
  return (
    <section className="card stack" aria-label="Allergies">
      <h2>Allergies</h2>
      {cases.map((each) => (
        <div key={each.exercise_id} className="stack" style={{ gap: 6 }}>
          <p className="row">
            <Mark kind="stop" label /> <strong>{each.title}</strong> · {each.allergens.join(', ')} ·{' '}
            {each.names.join(', ')}
          </p>
          <p>
            <Said>{each.words}</Said>
          </p>
          {each.alternatives.length > 0 && (
            <Select
              label={`Cut instead of ${each.title}`}
              w={320}
              clearable
              placeholder="Nobody has chosen"
              data={each.alternatives.map((other) => ({ value: other.food, label: other.name }))}
              value={each.chosen ?? null}
              onChange={(food) => choose(each.exercise_id, food)}
            />
          )}
          <ul className="quiet" style={{ margin: 0, paddingLeft: 18 }}>
            {each.alternatives.map((other) => (
              <li key={other.food}>
                {other.name}: <Said>{other.words}</Said>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
