import { Button, NumberInput, Select, SimpleGrid, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { useAbout, useCatalogue } from '../../api/queries';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';

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
  time_zone: '',
  doctrines: {},
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

/** A course's choices: of one that is there, or of a new one. */
export function CourseForm({ course }: { course?: Api['Course'] }) {
  const about = useAbout();
  const navigate = useNavigate();
  const [drafted, setFields] = useState<Fields>(() => (course ? fieldsOf(course) : empty));
  // Until another is chosen, a new course is where this machine is.
  const fields = { ...drafted, time_zone: drafted.time_zone || (about.data?.time_zone ?? '') };
  const change = (next: Partial<Fields>) => setFields((now) => ({ ...now, ...next }));
  const save = useChange(
    'course',
    () =>
      course
        ? answer(
            api.PUT('/api/courses/{id}', {
              params: { path: { id: course.id } },
              body: { version: course.version, fields },
            }),
          )
        : answer(api.POST('/api/courses', { body: fields })),
    { onSuccess: (kept) => course ?? void navigate(`/courses/${kept.id}/set-up`) },
  );
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  const text = (key: 'name' | 'school' | 'place', label: string) => (
    <TextInput
      label={label}
      withAsterisk
      value={fields[key]}
      onChange={(e) => change({ [key]: e.currentTarget.value })}
      error={problem?.at(`/${key}`)}
    />
  );
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <SimpleGrid cols={{ base: 1, sm: 3 }} spacing="sm">
        {text('name', 'Name of the course')}
        {text('school', 'School')}
        {text('place', 'Kitchen')}
        <Whom fields={fields} change={change} />
        <NumberInput
          label="Minutes of a lesson"
          withAsterisk
          value={fields.lesson_minutes}
          onChange={(v) => change({ lesson_minutes: Math.max(0, Math.min(65535, Math.round(Number(v)))) })}
          error={problem?.at('/lesson_minutes')}
        />
        <NumberInput
          label="Boards"
          withAsterisk
          value={fields.boards}
          onChange={(v) => change({ boards: Math.max(0, Math.min(65535, Math.round(Number(v)))) })}
          error={problem?.at('/boards')}
        />
        <Where fields={fields} change={change} problem={problem} />
      </SimpleGrid>
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
        {save.isSuccess && course && (
          <span role="status">Saved. Past judgements keep the figures they were made with.</span>
        )}
        {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
      </div>
    </form>
  );
}

interface ChoiceProps {
  fields: Fields;
  change: (next: Partial<Fields>) => void;
}

/** Whom it is for, at which pace, and how exactly they work. */
function Whom({ fields, change }: ChoiceProps) {
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
        value={fields.age_band}
        onChange={(value) => value && change({ age_band: value as Api['AgeBand'] })}
      />
      <Select
        label="Pace"
        allowDeselect={false}
        data={PACES}
        value={fields.pace}
        onChange={(value) => value && change({ pace: value as Api['Pace'] })}
      />
      <Select
        label="Sizes"
        description={catalogue.data?.sets.find((s) => s.id === fields.standard_set)?.why}
        allowDeselect={false}
        data={(catalogue.data?.sets ?? []).map((s) => ({ value: s.id, label: capital(s.name) }))}
        value={fields.standard_set}
        onChange={(value) => value && change({ standard_set: value })}
      />
      <Select
        label="Exactness"
        allowDeselect={false}
        data={(catalogue.data?.tolerances ?? []).map((t) => ({
          value: t.id,
          label: `${capital(t.name)}, ±${Math.round(t.share * 100)} % but at least ±${t.floor} mm`,
        }))}
        value={fields.tolerance}
        onChange={(value) => value && change({ tolerance: value })}
      />
    </>
  );
}

/** What is cut on, and by whose clock. */
function Where({ fields, change, problem }: ChoiceProps & { problem: ApiProblem | undefined }) {
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
        value={fields.board_material}
        onChange={(value) => value && change({ board_material: value as Api['BoardMaterial'] })}
        error={problem?.at('/board_material')}
      />
      <Select
        label="Time zone"
        searchable
        allowDeselect={false}
        limit={40}
        data={catalogue.data?.time_zones ?? (fields.time_zone ? [fields.time_zone] : [])}
        value={fields.time_zone}
        onChange={(value) => value && change({ time_zone: value })}
        error={problem?.at('/time_zone')}
      />
    </>
  );
}
