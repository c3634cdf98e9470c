import { Button, Checkbox, NumberInput, Select, SimpleGrid, TextInput } from '@mantine/core';
import { Link, useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { useAbout, useCatalogue } from '../../api/queries';
import { whole, useFields } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';
import { useSaveCourse } from './changes';
import { KitchenHas } from './KitchenHas';

type Fields = Api['CourseFields'];

const empty: Fields = {
  name: '',
  school: '',
  place: '',
  age_band: 'adult',
  pace: 'learner',
  standard_set: 'eighth',
  tolerance: 'school',
  lesson_minutes: 110,
  boards: 16,
  board_material: 'wood',
  resources: {},
  time_zone: '',
  doctrines: {},
  briefing_first: false,
};

/** The fields of a course without its id and version. */
const fieldsOf = (course: Fields): Fields =>
  Object.fromEntries(Object.keys(empty).map((key) => [key, course[key as keyof Fields]])) as Fields;

const PACES = [
  { value: 'learner', label: 'Learner, 30 strokes a minute' },
  { value: 'improving', label: 'Improving, 60' },
  { value: 'trained', label: 'Trained, 100' },
  { value: 'fast', label: 'Fast, 160' },
];

interface Props {
  course?: Api['Course'];
  /** What stands here was saved a moment ago. */
  saved?: boolean;
  /** Gets the version that was kept. */
  onSaved?: (version: number) => void;
}

/** A course's choices: of one that is there, or of a new one. */
export function CourseForm({ course, saved, onSaved }: Props) {
  const about = useAbout();
  const navigate = useNavigate();
  // Until another is chosen, a new course is where this machine is.
  const { form, trouble, told } = useFields<Fields>(
    course ? fieldsOf(course) : { ...empty, time_zone: about.data?.time_zone ?? '' },
  );
  const save = useSaveCourse(course, (kept) => {
    onSaved?.(kept.version);
    if (!course) void navigate(`/courses/${kept.id}/set-up`);
  });
  return (
    <form className="card stack" onSubmit={form.onSubmit((fields) => save.mutate(fields, told))}>
      <SimpleGrid cols={{ base: 1, sm: 3 }} spacing="sm">
        <TextInput label="Name of the course" withAsterisk {...form.getInputProps('name')} />
        <TextInput label="School" withAsterisk {...form.getInputProps('school')} />
        <TextInput label="Kitchen" withAsterisk {...form.getInputProps('place')} />
        <Whom form={form} />
        <NumberInput
          label="Minutes of a lesson"
          withAsterisk
          {...form.getInputProps('lesson_minutes')}
          onChange={(v) => form.setFieldValue('lesson_minutes', whole(v))}
        />
        <NumberInput
          label="Boards"
          withAsterisk
          {...form.getInputProps('boards')}
          onChange={(v) => form.setFieldValue('boards', whole(v))}
        />
        <Where form={form} />
      </SimpleGrid>
      <Checkbox
        label="No knife before a passed briefing: Ask me, two minutes, once for each student"
        {...form.getInputProps('briefing_first', { type: 'checkbox' })}
      />
      <KitchenHas form={form} />
      {course && (
        <p className="quiet">
          Where practitioners disagree:{' '}
          <Link to={`/courses/${course.id}/playbook?view=doctrines`}>the doctrines of this course</Link>.
        </p>
      )}
      <div className="row">
        <Button type="submit" loading={save.isPending}>
          {course ? 'Save the course' : 'Make the course'}
        </Button>
        {saved && <span role="status">Saved. Past judgements keep the figures they were made with.</span>}
        <Trouble error={trouble} />
      </div>
    </form>
  );
}

/** Whom it is for, at which pace, and how exactly they work. */
function Whom({ form }: { form: FieldsForm<Fields> }) {
  const catalogue = useCatalogue();
  return (
    <>
      <Select
        label="For"
        allowDeselect={false}
        data={[
          { value: 'adult', label: 'Trainees and adults' },
          { value: 'child', label: 'Children: bridge first, blades to 130 mm' },
        ]}
        {...form.getInputProps('age_band')}
      />
      <Select label="Pace" allowDeselect={false} data={PACES} {...form.getInputProps('pace')} />
      <Select
        label="Sizes"
        description={catalogue.data?.sets.find((s) => s.id === form.values.standard_set)?.why}
        allowDeselect={false}
        data={(catalogue.data?.sets ?? []).map((s) => ({ value: s.id, label: capital(s.name) }))}
        {...form.getInputProps('standard_set')}
      />
      <Select
        label="Exactness"
        allowDeselect={false}
        data={(catalogue.data?.tolerances ?? []).map((t) => ({
          value: t.id,
          label: `${capital(t.name)}, ±${Math.round(t.share * 100)} % but at least ±${t.floor} mm`,
        }))}
        {...form.getInputProps('tolerance')}
      />
    </>
  );
}

/** What is cut on, and by whose clock. */
function Where({ form }: { form: FieldsForm<Fields> }) {
  const catalogue = useCatalogue();
  return (
    <>
      <Select
        label="Boards are of"
        allowDeselect={false}
        data={(catalogue.data?.boards ?? []).map((b) => ({
          value: b.value,
          label: b.allowed ? capital(b.name) : `${capital(b.name)}: never`,
          disabled: !b.allowed,
        }))}
        {...form.getInputProps('board_material')}
      />
      <Select
        label="Time zone"
        searchable
        allowDeselect={false}
        limit={40}
        data={catalogue.data?.time_zones ?? (form.values.time_zone ? [form.values.time_zone] : [])}
        {...form.getInputProps('time_zone')}
      />
    </>
  );
}
