import type { Api } from '../../api/client';
import { answer, api, ask } from '../../api/client';
import { useChange } from '../../api/changes';
import { USUAL } from './making';

/** Plans a new lesson. */
export const useAddLesson = (course: number, onAdded: (plan: Api['PlanView']) => void) =>
  useChange(
    'lesson',
    (body: Api['NewLesson']) =>
      answer(api.POST('/api/courses/{id}/lessons', { params: { path: { id: course } }, body })),
    { onSuccess: onAdded },
  );

/** Changes a lesson; what is not given stays as it is. */
export const useSaveLesson = (lesson: Api['Lesson'] | undefined, onSaved: () => void) =>
  useChange(
    'lesson',
    (next: Partial<Api['LessonFields']>) => {
      if (!lesson) throw new Error('there is no lesson to save');
      const { id, version, title, starts_at, minutes, segments } = lesson;
      return answer(
        api.PUT('/api/lessons/{id}', {
          params: { path: { id } },
          body: { version, fields: { title, starts_at, minutes, segments, ...next } },
        }),
      );
    },
    { onSuccess: onSaved },
  );

/** Keeps the time rule with what else makes the lesson fit. */
export const useKeepTimeRule = (
  { id, version }: Pick<Api['Lesson'], 'id' | 'version'>,
  onSaved: () => void,
) =>
  useChange(
    'lesson',
    (fields: Api['DraftSegments']) =>
      answer(api.PUT('/api/lessons/{id}/time-rule', { params: { path: { id } }, body: { version, fields } })),
    { onSuccess: onSaved },
  );

/** Adds an exercise to a lesson, or changes one, with the setup that is chosen or else proposed. */
export const useSaveExercise = (
  { course, lesson }: Api['PlanView'],
  exercise: Api['Exercise'] | undefined,
  onSaved: () => void,
) =>
  useChange(
    'lesson',
    async ({ food, cut, own_minutes, making, ...choice }: Api['AdviceChoice']) => {
      // What is shown may lag a choice by a moment: what is saved is worked out from the choice itself.
      const { setup, amount } = await answer(
        ask.POST('/api/courses/{id}/advice', {
          params: { path: { id: course.id } },
          body: { food, cut, own_minutes, making, ...choice },
        }),
      );
      if (!setup) throw new Error('There is no knife on the rack to make this cut with.');
      const { knife_type, knife_length, grip, hold, motion, third } = setup;
      const own = { food, cut, amount, own_minutes: own_minutes ?? null, making: making ?? USUAL };
      const fields = { ...own, knife_type, knife_length, grip, hold, motion, third };
      return exercise
        ? answer(
            api.PUT('/api/exercises/{id}', {
              params: { path: { id: exercise.id } },
              body: { version: exercise.version, fields },
            }),
          )
        : answer(
            api.POST('/api/lessons/{id}/exercises', { params: { path: { id: lesson.id } }, body: fields }),
          );
    },
    { onSuccess: onSaved },
  );

/** Takes an exercise out of its lesson, or puts it back. */
export const useArchiveExercise = ({ id, version }: Api['Exercise']) =>
  useChange('lesson', (archived: boolean) =>
    answer(
      api.POST('/api/exercises/{id}/archive', { params: { path: { id } }, body: { version, archived } }),
    ),
  );

/** Keeps what is said about the food of a lesson. */
export const useKeepProduce = (lesson: number, version: number, onKept: () => void) =>
  useChange(
    'lesson',
    (fields: Api['ProduceFields']) =>
      answer(
        api.PUT('/api/lessons/{id}/produce', { params: { path: { id: lesson } }, body: { version, fields } }),
      ),
    { onSuccess: onKept },
  );
