import { Button, MultiSelect } from '@mantine/core';
import { useState } from 'react';
import { useCourses, usePeople } from '../../api/queries';
import { Trouble } from '../../shared/State';
import { useTakeAlong } from './changes';

const whom = (count: number) => (count === 0 ? 'them' : count === 1 ? '1 person' : `${count} people`);

/** People of the school who are not in this course: they come with hand, allergies, clearance and evidence. */
export function TakeAlong({ courseId }: { courseId: number }) {
  const people = usePeople();
  const courses = useCourses();
  const [chosen, setChosen] = useState<string[]>([]);
  const take = useTakeAlong(courseId, () => setChosen([]));
  const others = (people.data ?? []).filter(
    (person) => !person.courses.some((course) => course.course_id === courseId && !course.archived),
  );
  if (others.length === 0) return null;
  const named = (id: number) => courses.data?.find((course) => course.id === id)?.name ?? 'another course';
  return (
    <section className="card stack" aria-label="Take people along">
      <h3>Take people along</h3>
      <MultiSelect
        label="People the school knows"
        description="with hand, allergies, clearance and evidence"
        searchable
        limit={60}
        data={others.map((person) => ({
          value: String(person.id),
          label: `${person.name} · ${[...new Set(person.courses.map((course) => named(course.course_id)))].join(', ')}`,
        }))}
        value={chosen}
        onChange={setChosen}
      />
      <div className="row">
        <Button
          disabled={chosen.length === 0}
          loading={take.isPending}
          onClick={() => take.mutate(chosen.map(Number))}
        >
          Take {whom(chosen.length)} along
        </Button>
        {take.data && chosen.length === 0 && (
          <span role="status">
            {take.data.added === 1 ? '1 person is' : `${take.data.added} people are`} in the course.
          </span>
        )}
      </div>
      <Trouble error={take.error} />
    </section>
  );
}
