import { MultiSelect, NumberInput, SimpleGrid } from '@mantine/core';
import type { Api } from '../../api/client';
import type { FieldsForm } from '../../shared/fields';
import { orNull, whole } from '../../shared/fields';
import { LengthInput } from '../../shared/LengthInput';

type Resources = Required<Api['Resources']>;
type Fields = Api['CourseFields'];

/** A pair of numbers that are said together or not at all; 0 stands for one that is still missing. */
function paired<Pair extends Record<string, number>>(
  pair: Pair | null,
  empty: Pair,
  key: keyof Pair,
  typed: number | null,
) {
  const next = { ...(pair ?? empty), [key]: typed ?? 0 };
  return Object.values(next).every((value) => value === 0) ? null : next;
}

const DAYS: Api['DayOfWeek'][] = [
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
  'sunday',
];
const NOBODY = { people: 0, each: 0 };
const NO_BOARD = { length: 0, width: 0 };

/** What the kitchen has beside its knives: what the plan, the draft and the check sheet reckon with. */
export function KitchenHas({ form }: { form: FieldsForm<Fields> }) {
  const has: Resources = {
    board_size: null,
    sinks: null,
    containers: null,
    instructors: null,
    assistants: null,
    food_budget: null,
    delivery_days: [],
    ...form.values.resources,
  };
  const change = (part: Partial<Resources>) => form.setFieldValue('resources', { ...has, ...part });
  const error = (field: string) => {
    const said = form.errors[`resources.${field}`];
    return said ? String(said) : undefined;
  };
  const count = (key: 'sinks' | 'containers', label: string) => (
    <NumberInput
      label={label}
      value={has[key] ?? ''}
      error={error(key)}
      onChange={(typed) => change({ [key]: typed === '' ? null : whole(typed) })}
    />
  );
  const side = (key: 'length' | 'width', label: string) => (
    <LengthInput
      label={label}
      value={has.board_size?.[key] || null}
      error={error(`board_size.${key}`)}
      onChange={(mm) => change({ board_size: paired(has.board_size, NO_BOARD, key, mm) })}
    />
  );
  const watching = (who: 'instructors' | 'assistants', key: 'people' | 'each', label: string) => (
    <NumberInput
      label={label}
      value={has[who]?.[key] || ''}
      error={error(`${who}.${key}`)}
      onChange={(typed) =>
        change({ [who]: paired(has[who], NOBODY, key, typed === '' ? null : whole(typed)) })
      }
    />
  );
  return (
    <fieldset className="group stack">
      <legend>What the kitchen has</legend>
      <p className="quiet">
        The draft, the plan and the check sheet reckon with it. What is left empty limits nothing.
      </p>
      <SimpleGrid cols={{ base: 2, sm: 4 }} spacing="sm">
        {side('length', 'Boards, long')}
        {side('width', 'Boards, wide')}
        {count('sinks', 'Sinks')}
        {count('containers', 'Containers')}
        {watching('instructors', 'people', 'Instructors')}
        {watching('instructors', 'each', 'Each watches')}
        {watching('assistants', 'people', 'Assistants')}
        {watching('assistants', 'each', 'Each assistant watches')}
        <NumberInput
          label="Food for a lesson, at most"
          decimalScale={2}
          value={has.food_budget ?? ''}
          error={error('food_budget')}
          onChange={(typed) => change({ food_budget: orNull(typed) })}
        />
        <MultiSelect
          label="Food comes on"
          placeholder={has.delivery_days.length === 0 ? 'The day before' : undefined}
          data={DAYS}
          value={has.delivery_days}
          error={error('delivery_days')}
          onChange={(days) => change({ delivery_days: DAYS.filter((day) => days.includes(day)) })}
        />
      </SimpleGrid>
    </fieldset>
  );
}
