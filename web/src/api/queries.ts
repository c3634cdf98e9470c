import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, answer } from './client';
import type { Api } from './client';

const path = (id: number) => ({ params: { path: { id } } });

/** Keys of what is read, so that a change can name what it makes old. */
export const keys = {
  about: ['about'] as const,
  catalogue: ['catalogue'] as const,
  courses: ['courses'] as const,
  course: (id: number) => ['course', id] as const,
  rack: ['rack'] as const,
  plan: (lesson: number) => ['plan', lesson] as const,
  class: (lesson: number) => ['class', lesson] as const,
  yard: (course: number) => ['yard', course] as const,
  student: (id: number) => ['student', id] as const,
  /** Version of an attempt after the latest change made here; nothing is read for it. */
  attemptVersion: (id: number) => ['attempt-version', id] as const,
};

export const useAbout = () =>
  useQuery({ queryKey: keys.about, queryFn: () => answer(api.GET('/api/about')) });

export const useCatalogue = () =>
  useQuery({
    queryKey: keys.catalogue,
    queryFn: () => answer(api.GET('/api/catalogue')),
    staleTime: Infinity,
  });

export const useCourses = () =>
  useQuery({ queryKey: keys.courses, queryFn: () => answer(api.GET('/api/courses')) });

export const useCourse = (id: number) =>
  useQuery({ queryKey: keys.course(id), queryFn: () => answer(api.GET('/api/courses/{id}', path(id))) });

export const useRack = () => useQuery({ queryKey: keys.rack, queryFn: () => answer(api.GET('/api/rack')) });

export const usePlan = (lesson: number) =>
  useQuery({
    queryKey: keys.plan(lesson),
    queryFn: () => answer(api.GET('/api/lessons/{id}/plan', path(lesson))),
  });

export const useYard = (course: number) =>
  useQuery({
    queryKey: keys.yard(course),
    queryFn: () => answer(api.GET('/api/courses/{id}/yard', path(course))),
  });

export const useStudent = (id: number | undefined) =>
  useQuery({
    queryKey: keys.student(id ?? 0),
    queryFn: () => answer(api.GET('/api/students/{id}/evidence', path(id ?? 0))),
    enabled: id !== undefined,
  });

export const useClass = (lesson: number, exercise: number | undefined) =>
  useQuery({
    queryKey: [...keys.class(lesson), exercise ?? 0],
    queryFn: () =>
      answer(api.GET('/api/lessons/{id}/class', { params: { path: { id: lesson }, query: { exercise } } })),
    placeholderData: keepPreviousData,
  });

/** Advice while choosing: the latest choice wins, an older request is broken off. */
export const useAdvice = (course: number, choice: Api['AdviceChoice'] | undefined) =>
  useQuery({
    queryKey: ['advice', course, choice],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/courses/{id}/advice', {
          ...path(course),
          body: choice as Api['AdviceChoice'],
          signal,
        }),
      ),
    enabled: choice !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** Segments on the rule as they stand on the screen. */
export const useDraftRule = (lesson: number, draft: Api['DraftSegments'] | undefined) =>
  useQuery({
    queryKey: ['time-rule', lesson, draft],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/lessons/{id}/time-rule', {
          ...path(lesson),
          body: draft as Api['DraftSegments'],
          signal,
        }),
      ),
    enabled: draft !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** The verdict while pieces are typed. */
export const useJudge = (attempt: number | undefined, sample: Api['TypedSample']) =>
  useQuery({
    queryKey: ['judge', attempt, sample],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/attempts/{id}/judge', { ...path(attempt ?? 0), body: sample, signal })),
    enabled: attempt !== undefined && sample.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/**
 * A change. Once it is done, everything that it may have touched is read again. When it fails, what
 * is on the screen stays, so that nothing typed is lost; a change that keeps nothing typed can ask
 * to see things as they are now (`refreshOnError`).
 */
export function useChange<Input, Output>(
  change: (input: Input) => Promise<Output>,
  options: { onSuccess?: (output: Output) => void; scope?: string; refreshOnError?: boolean } = {},
) {
  const client = useQueryClient();
  const refresh = () =>
    client.invalidateQueries({
      predicate: (query) => query.queryKey[0] !== 'catalogue' && query.queryKey[0] !== 'judge',
    });
  return useMutation({
    mutationFn: change,
    scope: options.scope ? { id: options.scope } : undefined,
    onSuccess: (output) => {
      options.onSuccess?.(output);
      return refresh();
    },
    onError: () => (options.refreshOnError ? refresh() : undefined),
  });
}
