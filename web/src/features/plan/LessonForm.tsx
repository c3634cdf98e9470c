import { Button, NumberInput, TextInput } from '@mantine/core';
import { useNavigate } from 'react-router';
import type { Api } from '../../api/client';
import type { CivilTime } from '../../api/time';
import { useFields, whole } from '../../shared/fields';
import { Trouble } from '../../shared/State';
import { useAddLesson, useSaveLesson } from './changes';

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
  const { form, trouble, told } = useFields({
    title: lesson?.title ?? '',
    starts_at: lesson?.starts_at.slice(0, 16) ?? '',
    minutes: lesson?.minutes ?? 110,
  });
  const add = useAddLesson(courseId, (plan) => {
    done?.();
    void navigate(`/courses/${courseId}/plan/${plan.lesson.id}`);
  });
  const change = useSaveLesson(lesson, () => done?.());
  const save = form.onSubmit(({ title, starts_at: starts, minutes }) => {
    const starts_at = `${starts}:00` as CivilTime;
    if (lesson) change.mutate({ title, starts_at, minutes }, told);
    else add.mutate({ title, starts_at }, told);
  });
  return (
    <form className="card row" style={{ alignItems: 'flex-end' }} onSubmit={save}>
      <TextInput label="Title" withAsterisk w={260} {...form.getInputProps('title')} />
      <TextInput
        label="Day and time"
        type="datetime-local"
        required
        withAsterisk
        w={210}
        {...form.getInputProps('starts_at')}
      />
      {lesson && (
        <NumberInput
          label="Minutes"
          w={100}
          {...form.getInputProps('minutes')}
          onChange={(v) => form.setFieldValue('minutes', whole(v))}
        />
      )}
      <Button type="submit" loading={add.isPending || change.isPending}>
        {lesson ? 'Save' : 'Add the lesson'}
      </Button>
      {done && (
        <Button variant="default" onClick={done}>
          Cancel
        </Button>
      )}
      <Trouble error={trouble} />
    </form>
  );
}
