import { Button, Checkbox, NumberInput, Select, SimpleGrid, TagsInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { studentFields, useSaveStudent } from '../../api/students';
import { useFields, whole } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { useUnit, withUnit } from '../../shared/format';
import { LengthInput } from '../../shared/LengthInput';
import { Trouble } from '../../shared/State';
import { useArchiveStudent } from './changes';
import { PasteNames } from './PasteNames';
import { TakeAlong } from './TakeAlong';
import { inSchool } from '../../shared/school';

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
  const archive = useArchiveStudent((student) => setGone(student.archived ? student : undefined));
  return (
    <section className="stack" aria-label="Students">
      <div className="spread">
        <h2>Students</h2>
        <Button
          variant="default"
          component="a"
          href={inSchool(`/api/courses/${courseId}/roster`)}
          download="class-list.csv"
        >
          Save the class list as a file
        </Button>
      </div>
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
      <PasteNames courseId={courseId} />
      <TakeAlong courseId={courseId} />
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
  const { form, trouble, told } = useFields<Fields>(studentFields(first));
  const save = useSaveStudent(courseId, student, done);
  return (
    <form
      className="card stack"
      aria-label={student ? `Change ${student.name}` : 'Add a student'}
      onSubmit={form.onSubmit((fields) => save.mutate(fields, told))}
    >
      <StudentInputs form={form} />
      <div className="row">
        <Button type="submit" loading={save.isPending}>
          {student ? 'Save' : 'Add the student'}
        </Button>
        {done && (
          <Button variant="default" onClick={done}>
            Cancel
          </Button>
        )}
        <Trouble error={trouble} />
      </div>
    </form>
  );
}

function StudentInputs({ form }: { form: FieldsForm<Fields> }) {
  return (
    <SimpleGrid cols={{ base: 1, sm: 3 }} spacing="sm">
      <TextInput label="Name" withAsterisk {...form.getInputProps('name')} />
      <NumberInput
        label="Station"
        withAsterisk
        {...form.getInputProps('station')}
        onChange={(v) => form.setFieldValue('station', whole(v))}
      />
      <LengthInput
        label="Blade clearance"
        withAsterisk
        {...form.getInputProps('clearance')}
        value={form.values.clearance}
        onChange={(clearance) => form.setFieldValue('clearance', clearance ?? 0)}
      />
      <Select label="Working hand" allowDeselect={false} data={HANDS} {...form.getInputProps('hand')} />
      <Select
        label="Size of the hand"
        allowDeselect={false}
        data={SIZES}
        {...form.getInputProps('hand_size')}
      />
      <Checkbox
        mt={26}
        label="Special clearance"
        description="turning, single-bevel, boning, heavy and very long knives"
        {...form.getInputProps('special_clearance', { type: 'checkbox' })}
      />
      <TagsInput
        label="Allergies"
        placeholder="e.g. celery, then Enter"
        {...form.getInputProps('allergies')}
      />
      <TextInput label="Notes" {...form.getInputProps('notes')} />
    </SimpleGrid>
  );
}
