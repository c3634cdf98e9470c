import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import type { Api } from '../../api/client';
import { answer, api, ask } from '../../api/client';
import { useChange } from '../../api/changes';

/** What a new school can start with. */
export const useDoors = () =>
  useQuery({ queryKey: ['start'], queryFn: () => answer(ask.GET('/api/start')), staleTime: 60_000 });

/** Names and knives while they are typed. */
export const useTyped = (typed: Api['Typed']) =>
  useQuery({
    queryKey: ['start', 'read', typed],
    queryFn: ({ signal }) => answer(ask.POST('/api/start/read', { body: typed, signal })),
    enabled: Boolean(typed.first),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** Looks into a course file before it is taken. */
export const useLookInto = () =>
  useMutation({
    mutationFn: (file: Api['CourseFile']) => answer(ask.POST('/api/course-file/read', { body: file })),
  });

/** Takes a course from a file. */
export const useTakeFile = (onTaken: (course: Api['Course']) => void) =>
  useChange('own', (file: Api['CourseFile']) => answer(api.POST('/api/course-file', { body: file })), {
    onSuccess: onTaken,
  });

/** Starts a course of a known kind. */
export const useStart = (onStarted: (first: Api['FirstLesson']) => void) =>
  useChange('own', (body: Api['Started']) => answer(api.POST('/api/start', { body })), {
    onSuccess: onStarted,
  });
