import { Button, Checkbox, NumberInput, Select, SimpleGrid, TagsInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { studentFields, useSaveStudent } from '../../api/students';
import { useUnit, withUnit } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import { Trouble } from '../../shared/State';

type Fields = Api['StudentFields'];

const HANDS = [
  { value: 'right', label: 'Right' },
  { value: 'left', label: 'Left' },
];
const SIZES = [
  { value: 'small', label: 'Small' },
  { value: 'medium', label: 'Medium' },
  { value: 'large', label: 'Large' },
];

function firstFields(students: Api['Student'][]): Fields {
  const taken = new Set(students.map((student) => student.station));
  let station = 1;
  while (taken.has(station)) station += 1;
  return {
    name: '',
    station,
    hand: 'right',
    hand_size: 'medium',
    clearance: 100,
    special_clearance: false,
    allergies: [],
    notes: '',
  };
}

/** The students of a course: add, change, take out with a way back. */
export function Students({ courseId, students }: { courseId: number; students: Api['Student'][] }) {
  const [unit] = useUnit();
  const [editing, setEditing] = useState<number>();
  const [gone, setGone] = useState<Api['Student']>();
  const archive = useChange(
    'student',
    ({ student, archived }: { student: Api['Student']; archived: boolean }) =>
      answer(
        api.POST('/api/students/{id}/archive', {
          params: { path: { id: student.id } },
          body: { version: student.version, archived },
        }),
      ),
    { onSuccess: (student) => setGone(student.archived ? student : undefined) },
  );
  return (
    <section className="stack" aria-label="Students">
      <h2>Students</h2>
      {gone && (
        <p className="chip" data-kind="todo" role="status" style={{ alignSelf: 'flex-start' }}>
          {gone.name} is out of the course; the record is kept.
          <Button
            size="xs"
            variant="default"
            onClick={() => archive.mutate({ student: gone, archived: false })}
          >
            Undo
          </Button>
        </p>
      )}
      <Trouble error={archive.error} />
      {students.map((student) =>
        editing === student.id ? (
          <StudentForm
            key={student.id}
            courseId={courseId}
            student={student}
            first={student}
            done={() => setEditing(undefined)}
          />
        ) : (
          <div
            key={student.id}
            className="card row"
            style={{ justifyContent: 'space-between', padding: '6px 14px' }}
          >
            <span>
              <span className="mono">{student.station}</span> · <strong>{student.name}</strong>{' '}
              <span className="quiet">
                {student.hand} hand, {student.hand_size}, cleared to {withUnit(student.clearance, unit)}
                {student.allergies.length > 0 && ` · allergic: ${student.allergies.join(', ')}`}
              </span>
            </span>
            <span className="row">
              <Button
                size="xs"
                variant="default"
                onClick={() => setEditing(student.id)}
                aria-label={`Change ${student.name}`}
              >
                Change
              </Button>
              <Button
                size="xs"
                variant="default"
                onClick={() => archive.mutate({ student, archived: true })}
                aria-label={`Take out ${student.name}`}
              >
                Take out
              </Button>
            </span>
          </div>
        ),
      )}
      <h3>Add a student</h3>
      <StudentForm key={`new ${students.length}`} courseId={courseId} first={firstFields(students)} />
    </section>
  );
}

interface FormProps {
  courseId: number;
  student?: Api['Student'];
  first: Fields;
  done?: () => void;
}

function StudentForm({ courseId, student, first, done }: FormProps) {
  const [fields, setFields] = useState<Fields>(() => studentFields(first));
  const change = (next: Partial<Fields>) => setFields((now) => ({ ...now, ...next }));
  const save = useSaveStudent(courseId, student, done);
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  return (
    <form
      className="card stack"
      aria-label={student ? `Change ${student.name}` : 'Add a student'}
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(fields);
      }}
    >
      <StudentInputs fields={fields} change={change} problem={problem} />
      <div className="row">
        <Button type="submit" loading={save.isPending}>
          {student ? 'Save' : 'Add the student'}
        </Button>
        {done && (
          <Button variant="default" onClick={done}>
            Cancel
          </Button>
        )}
        {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
      </div>
    </form>
  );
}

interface InputsProps {
  fields: Fields;
  change: (next: Partial<Fields>) => void;
  problem: ApiProblem | undefined;
}

function StudentInputs({ fields, change, problem }: InputsProps) {
  return (
    <SimpleGrid cols={{ base: 1, sm: 3 }} spacing="sm">
      <TextInput
        label="Name"
        withAsterisk
        value={fields.name}
        onChange={(e) => change({ name: e.currentTarget.value })}
        error={problem?.at('/name')}
      />
      <NumberInput
        label="Station"
        withAsterisk
        value={fields.station}
        onChange={(v) => change({ station: Math.max(0, Math.min(65535, Math.round(Number(v)))) })}
        error={problem?.at('/station')}
      />
      <LengthInput
        label="Blade clearance"
        withAsterisk
        value={fields.clearance}
        onChange={(clearance) => change({ clearance: clearance ?? 0 })}
        error={problem?.at('/clearance')}
      />
      <Select
        label="Working hand"
        allowDeselect={false}
        data={HANDS}
        value={fields.hand}
        onChange={(v) => v && change({ hand: v as Api['Hand'] })}
      />
      <Select
        label="Size of the hand"
        allowDeselect={false}
        data={SIZES}
        value={fields.hand_size}
        onChange={(v) => v && change({ hand_size: v as Api['HandSize'] })}
      />
      <Checkbox
        mt={26}
        label="Special clearance"
        description="turning, single-bevel, boning, heavy and very long knives"
        checked={fields.special_clearance}
        onChange={(e) => change({ special_clearance: e.currentTarget.checked })}
      />
      <TagsInput
        label="Allergies"
        placeholder="e.g. celery, then Enter"
        value={fields.allergies}
        onChange={(v) => change({ allergies: v })}
        error={problem?.at('/allergies')}
      />
      <TextInput
        label="Notes"
        value={fields.notes}
        onChange={(e) => change({ notes: e.currentTarget.value })}
        error={problem?.at('/notes')}
      />
    </SimpleGrid>
  );
}
