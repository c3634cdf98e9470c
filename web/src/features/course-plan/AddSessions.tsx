import { Button, Chip, Group, NumberInput, TextInput } from '@mantine/core';
import type { Api } from '../../api/client';
import type { Day } from '../../api/time';
import { useFields, whole } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useAddSessions } from './changes';

const DAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;

/** Sessions by a rule: from a day, on these weekdays, so many, without some days. */
export function AddSessions({ courseId }: { courseId: number }) {
  const { form, trouble, told } = useFields({
    first: '',
    at: '18:30',
    weekdays: [] as string[],
    count: 8,
    skip: '',
  });
  const add = useAddSessions(courseId, () => form.reset());
  const save = form.onSubmit(({ first, at, weekdays, count, skip }) =>
    add.mutate(
      {
        first: first as Day,
        at: `${at}:00`,
        count,
        weekdays: weekdays as Api['DayOfWeek'][],
        skip: skip.split(/[\s,;]+/).filter(Boolean) as Day[],
      },
      told,
    ),
  );
  return (
    <form className="card stack" onSubmit={save}>
      <div className="row" style={{ alignItems: 'flex-end' }}>
        <TextInput label="First day" type="date" required w={160} {...form.getInputProps('first')} />
        <TextInput label="Begins at" type="time" required w={110} {...form.getInputProps('at')} />
        <NumberInput
          label="Sessions"
          w={90}
          {...form.getInputProps('count')}
          onChange={(value) => form.setFieldValue('count', whole(value))}
        />
        <TextInput
          label="Days without a session"
          placeholder="2026-12-24, 2026-12-31"
          w={220}
          {...form.getInputProps('skip')}
        />
      </div>
      <Chip.Group
        multiple
        value={form.values.weekdays}
        onChange={(value) => form.setFieldValue('weekdays', value)}
      >
        <Group gap={6} role="group" aria-label="On">
          {DAYS.map((day) => (
            <Chip key={day} value={day} size="sm">
              {day.slice(0, 1).toUpperCase() + day.slice(1, 3)}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      <div className="row">
        <Button type="submit" loading={add.isPending}>
          Add the sessions
        </Button>
        <span className="quiet">No weekday chosen: that of the first day.</span>
      </div>
      <Trouble error={trouble} />
    </form>
  );
}
