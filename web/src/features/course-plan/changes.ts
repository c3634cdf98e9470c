import { useQuery } from '@tanstack/react-query';
import type { Api } from '../../api/client';
import { answer, api, ask } from '../../api/client';
import { useChange } from '../../api/changes';
import { placed } from './blocks';

const path = (id: number) => ({ params: { path: { id } } });

/** The course's plan as it stands on the screen, or drafted from there; nothing is kept. */
export const useCoursePlan = (course: number, question: Api['PlanQuestion']) =>
  useQuery<Api['CoursePlan']>({
    queryKey: ['course-plan', course, question],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/courses/{id}/plan/try', { ...path(course), body: question, signal })),
    // What is moved stands in its new place at once; what holds there is the answer's to say.
    placeholderData: (before) =>
      before && question.blocks && !question.draft ? placed(before, question.blocks) : before,
    retry: false,
    gcTime: 60_000,
  });

/** Keeps a plan. */
export const useKeepPlan = (course: number, onKept: () => void) =>
  useChange(
    'lesson',
    (body: Api['KeptPlan']) => answer(api.PUT('/api/courses/{id}/plan', { ...path(course), body })),
    { onSuccess: onKept },
  );

/** Adds sessions by a rule of weekdays. */
export const useAddSessions = (course: number, onAdded: () => void) =>
  useChange(
    'lesson',
    (body: Api['SessionsRule']) => answer(api.POST('/api/courses/{id}/sessions', { ...path(course), body })),
    { onSuccess: onAdded },
  );
