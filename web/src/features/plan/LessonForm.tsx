import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import type { CivilTime } from '../../api/time';
import { Trouble } from '../../shared/State';

/** Title and time of a lesson: of one that is there, or of a new one. */
export function LessonForm({
  courseId,
  lesson,
  done,
}: {
  courseId: number;
  lesson?: Api['Lesson'];
  done?: () => void;
}) {
  const navigate = useNavigate();
  const [title, setTitle] = useState(lesson?.title ?? '');
  const [starts, setStarts] = useState(lesson?.starts_at.slice(0, 16) ?? '');
  const [minutes, setMinutes] = useState<number | string>(lesson?.minutes ?? 110);
  const save = useChange(
    'lesson',
    async () => {
      const starts_at = `${starts}:00` as CivilTime;
      if (!lesson)
        return answer(
          api.POST('/api/courses/{id}/lessons', {
            params: { path: { id: courseId } },
            body: { title, starts_at },
          }),
        );
      const fields = { title, starts_at, minutes: Number(minutes), segments: lesson.segments };
      return answer(
        api.PUT('/api/lessons/{id}', {
          params: { path: { id: lesson.id } },
          body: { version: lesson.version, fields },
        }),
      );
    },
    {
      onSuccess: (plan) => {
        done?.();
        if (!lesson) void navigate(`/courses/${courseId}/plan/${plan.lesson.id}`);
      },
    },
  );
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  const atFields = problem?.at('/title') ?? problem?.at('/starts_at') ?? problem?.at('/minutes');
  return (
    <form
      className="card row"
      style={{ alignItems: 'flex-end' }}
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <TextInput
        label="Title"
        withAsterisk
        w={260}
        value={title}
        onChange={(e) => setTitle(e.currentTarget.value)}
        error={problem?.at('/title')}
      />
      <TextInput
        label="Day and time"
        type="datetime-local"
        required
        withAsterisk
        w={210}
        value={starts}
        onChange={(e) => setStarts(e.currentTarget.value)}
        error={problem?.at('/starts_at')}
      />
      {lesson && (
        <NumberInput
          label="Minutes"
          w={100}
          value={minutes}
          onChange={setMinutes}
          error={problem?.at('/minutes')}
        />
      )}
      <Button type="submit" loading={save.isPending}>
        {lesson ? 'Save' : 'Add the lesson'}
      </Button>
      {done && (
        <Button variant="default" onClick={done}>
          Cancel
        </Button>
      )}
      {save.error && !atFields && <Trouble error={save.error} />}
    </form>
  );
}
