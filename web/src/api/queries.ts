import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { compareClocks } from './clock';
import { wasKept } from './kept';
import { useNewest } from './newest';
import { answer, ask } from './client';
import type { Api } from './client';
import type { Day } from './time';

const path = (id: number) => ({ params: { path: { id } } });

/** Keys of what is read, so that a change can name what it makes old. */
export const keys = {
  about: ['about'] as const,
  copies: ['copies'] as const,
  catalogue: ['catalogue'] as const,
  courses: ['courses'] as const,
  course: (id: number) => ['course', id] as const,
  rack: ['rack'] as const,
  care: (id: number) => ['care', id] as const,
  playbook: (course: number) => ['playbook', course] as const,
  kit: (course: number) => ['kit', course] as const,
  own: ['own'] as const,
  check: (lesson: number) => ['check', lesson] as const,
  count: (lesson: number) => ['count', lesson] as const,
  plan: (lesson: number) => ['plan', lesson] as const,
  class: (lesson: number) => ['class', lesson] as const,
  drawings: (lesson: number) => ['drawings', lesson] as const,
  run: (lesson: number) => ['run', lesson] as const,
  yard: (course: number) => ['yard', course] as const,
  student: (id: number) => ['student', id] as const,
};

export const useAbout = () =>
  useQuery({
    queryKey: keys.about,
    queryFn: async () => {
      const asked = performance.now();
      const answered = ask.GET('/api/about');
      const about = await answer(answered);
      if (!wasKept((await answered).response)) compareClocks(about.now, performance.now() - asked);
      return about;
    },
  });

/** How the copies of the school stand; it is asked again now and then, since nothing here changes it. */
export const useCopies = () =>
  useQuery({
    queryKey: keys.copies,
    queryFn: () => answer(ask.GET('/api/copies')),
    refetchInterval: 10 * 60 * 1000,
  });

export const useCatalogue = () =>
  useQuery({
    queryKey: keys.catalogue,
    queryFn: () => answer(ask.GET('/api/catalogue')),
    staleTime: Infinity,
  });

/** Colour of a food's flesh. */
export const useTint = (food: string) => useCatalogue().data?.foods.find((each) => each.id === food)?.tint;

export const useCourses = () =>
  useQuery({ queryKey: keys.courses, queryFn: () => answer(ask.GET('/api/courses')) });

export const useCourse = (id: number) =>
  useQuery({ queryKey: keys.course(id), queryFn: () => answer(ask.GET('/api/courses/{id}', path(id))) });

/** The address to which calendars subscribe. */
export const useCalendarAddress = (id: number) =>
  useQuery({
    queryKey: [...keys.course(id), 'calendar'],
    queryFn: () => answer(ask.GET('/api/courses/{id}/calendar/address', path(id))),
  });

/** Time zone of the school; moments are shown by the clock on its wall. */
export const useZone = (course: number) => useCourse(course).data?.course.time_zone ?? 'UTC';

/** The rack; with a hand, ordered by how it sits in it. */
export const useRack = (course?: number, hand?: { length: number; side: Api['Hand'] }) =>
  useQuery({
    queryKey: [...keys.rack, course ?? 0, hand ?? null],
    queryFn: () =>
      answer(
        ask.GET('/api/rack', {
          params: { query: { course, hand_length: hand?.length, hand: hand?.side } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

export const useCare = (
  knife: number | undefined,
  asked: { course?: number; degrees?: number; spine?: number; food?: string },
) =>
  useQuery({
    queryKey: [...keys.care(knife ?? 0), asked],
    queryFn: () =>
      answer(ask.GET('/api/rack/{id}/care', { params: { path: { id: knife ?? 0 }, query: asked } })),
    enabled: knife !== undefined,
    placeholderData: (before) => (before?.knife.id === knife ? before : undefined),
    retry: false,
  });

/** A knife looked over, for the cuts of a course. */
export const useInspection = (course: number, question: Api['InspectionQuestion']) =>
  useQuery({
    ...followed,
    queryKey: [...keys.rack, 'inspection', course, question],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/courses/{id}/rack/inspect', { ...path(course), body: question, signal })),
  });

/** A table of knives while it is pasted, row by row. */
export const useReadTable = (text: string) =>
  useQuery({
    queryKey: ['read-table', text],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/rack/table/read', { body: { text, skip_wrong: false }, signal })),
    enabled: text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** Knives by count, as they are understood. */
export const useReadKnifeList = (text: string) =>
  useQuery({
    queryKey: ['read-list', text],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/rack/list/read', { body: { text, skip_wrong: false }, signal })),
    enabled: text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** A class list, as it is understood. */
export const useReadRoster = (course: number, asked: Api['RosterText']) =>
  useQuery({
    queryKey: ['read-roster', course, asked],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/courses/{id}/roster/read', { ...path(course), body: asked, signal })),
    enabled: asked.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** Everyone of the school. */
export const usePeople = () =>
  useQuery({ queryKey: ['people'], queryFn: ({ signal }) => answer(ask.GET('/api/people', { signal })) });

interface AskedOfMatrix {
  food?: string;
  knives?: Api['KnifeSource'];
  student?: number;
  odd?: boolean;
}

const matrixOf = (course: number, asked: AskedOfMatrix) =>
  queryOptions({
    queryKey: [...keys.playbook(course), asked],
    queryFn: ({ signal }) =>
      answer(
        ask.GET('/api/courses/{id}/playbook', { params: { path: { id: course }, query: asked }, signal }),
      ),
  });

export const useMatrix = (course: number, asked: AskedOfMatrix) =>
  useQuery({ ...matrixOf(course, asked), placeholderData: keepPreviousData });

/** Reads a matrix before it is shown, so that the screen is drawn once and not twice. */
export function useReadMatrix(course: number) {
  const client = useQueryClient();
  return (asked: AskedOfMatrix) => client.ensureQueryData(matrixOf(course, asked)).catch(() => undefined);
}

/** The preparation of a food up to a cut, step by step. */
export const usePreparation = (
  course: number,
  asked: { food: string; cut: string; knives?: Api['KnifeSource']; student?: number },
) =>
  useQuery({
    queryKey: [...keys.playbook(course), 'preparation', asked],
    queryFn: ({ signal }) =>
      answer(
        ask.GET('/api/courses/{id}/playbook/preparation', {
          params: { path: { id: course }, query: asked },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  });

/** What other doctrines would change, before they are saved. */
export const useTriedDoctrines = (course: number, doctrines: Api['Doctrines'] | undefined) =>
  useQuery({
    queryKey: ['try-doctrines', course, doctrines],
    queryFn: ({ signal }) =>
      answer(
        ask.POST('/api/courses/{id}/doctrines/try', {
          ...path(course),
          body: { doctrines: doctrines as Api['Doctrines'] },
          signal,
        }),
      ),
    enabled: doctrines !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useKitOptions = (course: number) =>
  useQuery({
    queryKey: keys.kit(course),
    queryFn: () => answer(ask.GET('/api/courses/{id}/kit', path(course))),
  });

export const useKit = (course: number, question: Api['KitQuestion'] | undefined) =>
  useQuery({
    queryKey: ['kit-answer', course, question],
    queryFn: ({ signal }) =>
      answer(
        ask.POST('/api/courses/{id}/kit', {
          ...path(course),
          body: question as Api['KitQuestion'],
          signal,
        }),
      ),
    enabled: question !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** Answers to what is dragged or typed: the last one stays while the next is worked out. */
const followed = { placeholderData: keepPreviousData, retry: false, gcTime: 60_000 } as const;

/** A cut seen before it is made. */
export const useBench = (course: number, newest: Api['BenchQuestion'], ready: boolean) =>
  useNewest(newest, (question) => ({
    ...followed,
    queryKey: ['bench', course, question],
    queryFn: () => answer(ask.POST('/api/courses/{id}/bench', { ...path(course), body: question })),
    enabled: ready,
  }));

export const useBenchBeside = (course: number, newest: Api['BesideQuestion'], ready: boolean) =>
  useNewest(newest, (question) => ({
    ...followed,
    queryKey: ['bench-beside', course, question],
    queryFn: () => answer(ask.POST('/api/courses/{id}/bench/beside', { ...path(course), body: question })),
    enabled: ready,
  }));

export const useOnion = (newest: Api['OnionQuestion']) =>
  useNewest(newest, (question) => ({
    ...followed,
    queryKey: ['onion', question],
    queryFn: () => answer(ask.POST('/api/bench/onion', { body: question })),
  }));

export const useOnionsBeside = (newest: Api['OnionsQuestion']) =>
  useNewest(newest, (question) => ({
    ...followed,
    queryKey: ['onions-beside', question],
    queryFn: () => answer(ask.POST('/api/bench/onion/beside', { body: question })),
  }));

export const useOnionChoice = (asked: Api['ChooseForMe']) =>
  useQuery({
    ...followed,
    queryKey: ['onion-choice', asked],
    queryFn: ({ signal }) => answer(ask.POST('/api/bench/onion/choose', { body: asked, signal })),
  });

export const useOwn = () => useQuery({ queryKey: keys.own, queryFn: () => answer(ask.GET('/api/own')) });

/** What can be shown with a sharp and a dulled knife, and what was shown. */
export const useSharpDull = (lesson: number) =>
  useQuery({
    queryKey: ['sharp-dull', lesson],
    queryFn: () => answer(ask.GET('/api/lessons/{id}/sharp-dull', path(lesson))),
  });

/** Both knives compared while their figures are typed. */
export const useSharpDullLook = (lesson: number, fields: Api['DemonstrationFields'], ready: boolean) =>
  useQuery({
    ...followed,
    queryKey: ['sharp-dull', lesson, fields],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/lessons/{id}/sharp-dull/look', { ...path(lesson), body: fields, signal })),
    enabled: ready,
  });

export const useCheckSheet = (lesson: number) =>
  useQuery({
    queryKey: keys.check(lesson),
    queryFn: () => answer(ask.GET('/api/lessons/{id}/check', path(lesson))),
  });

export const useCount = (lesson: number) =>
  useQuery({
    queryKey: keys.count(lesson),
    queryFn: () => answer(ask.GET('/api/lessons/{id}/count', path(lesson))),
  });

export const usePlan = (lesson: number) =>
  useQuery({
    queryKey: keys.plan(lesson),
    queryFn: () => answer(ask.GET('/api/lessons/{id}/plan', path(lesson))),
  });

export const useYard = (course: number) =>
  useQuery({
    queryKey: keys.yard(course),
    queryFn: () => answer(ask.GET('/api/courses/{id}/yard', path(course))),
  });

export const useStudent = (id: number | undefined) =>
  useQuery({
    queryKey: keys.student(id ?? 0),
    queryFn: () => answer(ask.GET('/api/students/{id}/evidence', path(id ?? 0))),
    enabled: id !== undefined,
  });

export const classOf = (lesson: number, exercise: number | undefined) =>
  queryOptions({
    queryKey: [...keys.class(lesson), exercise ?? 0],
    queryFn: () =>
      answer(ask.GET('/api/lessons/{id}/class', { params: { path: { id: lesson }, query: { exercise } } })),
  });

export const useClass = (lesson: number, exercise: number | undefined) =>
  useQuery({ ...classOf(lesson, exercise), placeholderData: keepPreviousData });

/** The clock of a lesson; it is asked again now and then, since time alone changes what it says. */
export const useRun = (lesson: number) =>
  useQuery({
    queryKey: keys.run(lesson),
    queryFn: () => answer(ask.GET('/api/lessons/{id}/run', path(lesson))),
    refetchInterval: 15 * 1000,
  });

/** Advice while choosing: the latest choice wins, an older request is broken off. */
export const useAdvice = (course: number, choice: Api['AdviceChoice'] | undefined) =>
  useQuery({
    queryKey: ['advice', course, choice],
    queryFn: ({ signal }) =>
      answer(
        ask.POST('/api/courses/{id}/advice', {
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
        ask.POST('/api/lessons/{id}/time-rule', {
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

/** The rotation of a lesson: as announced, or with other news of the day. */
export const useRotation = (lesson: number, news: Api['RotationFields'] | undefined) =>
  useQuery({
    queryKey: ['rotation', lesson, news],
    queryFn: ({ signal }): Promise<Api['RotationView']> =>
      news
        ? answer(ask.POST('/api/lessons/{id}/rotation/look', { ...path(lesson), body: news, signal }))
        : answer(ask.GET('/api/lessons/{id}/rotation', { ...path(lesson), signal })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** The food of a lesson: as it is said, or with something else said about it. */
export const useProduce = (lesson: number, fields: Api['ProduceFields'] | undefined) =>
  useQuery({
    queryKey: ['produce', lesson, fields],
    queryFn: ({ signal }): Promise<Api['ProduceView']> =>
      fields
        ? answer(ask.POST('/api/lessons/{id}/produce/look', { ...path(lesson), body: fields, signal }))
        : answer(ask.GET('/api/lessons/{id}/produce', { ...path(lesson), signal })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** Whether a lesson can begin. */
export const useReady = (lesson: number | undefined) =>
  useQuery({
    queryKey: ['ready', lesson],
    queryFn: ({ signal }): Promise<Api['ReadyView']> =>
      answer(ask.GET('/api/lessons/{id}/ready', { ...path(lesson ?? 0), signal })),
    enabled: lesson !== undefined,
    retry: false,
  });

/** The pages of a lesson as they are printed. */
export const usePaper = (lesson: number | undefined, page: Api['PaperKind'], paper: Api['PaperSize']) =>
  useQuery({
    queryKey: ['paper', lesson, page, paper],
    queryFn: ({ signal }): Promise<Api['Pages']> =>
      answer(
        ask.GET('/api/lessons/{id}/paper', {
          params: { path: { id: lesson ?? 0 }, query: { page, paper } },
          signal,
        }),
      ),
    enabled: lesson !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** One order over the lessons of a course. */
export const useCourseOrder = (course: number, span: { from: string | null; until: string | null }) =>
  useQuery({
    queryKey: ['produce', 'course', course, span],
    queryFn: ({ signal }) =>
      answer(
        ask.GET('/api/courses/{id}/order', {
          params: {
            path: { id: course },
            query: {
              from: (span.from ?? undefined) as Day | undefined,
              until: (span.until ?? undefined) as Day | undefined,
            },
          },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** The verdict while pieces are typed. */
export const useJudge = (attempt: number | undefined, sample: Api['TypedSample']) =>
  useQuery({
    queryKey: ['judge', attempt, sample],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/attempts/{id}/judge', { ...path(attempt ?? 0), body: sample, signal })),
    enabled: attempt !== undefined && sample.text.trim() !== '',
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });

/** The next question of a round, and how it stands. */
export const useAsk = (lesson: number, round: Api['AskRound'] | undefined) =>
  useQuery({
    queryKey: ['ask', lesson, round],
    queryFn: ({ signal }) =>
      answer(ask.POST('/api/lessons/{id}/ask', { ...path(lesson), body: round as Api['AskRound'], signal })),
    enabled: round !== undefined,
    retry: false,
    staleTime: Infinity,
    gcTime: 60_000,
  });

/** What is drawn at the stations: it changes with the rack and the plan alone. */
export const useDrawings = (lesson: number) =>
  useQuery({
    queryKey: keys.drawings(lesson),
    queryFn: () => answer(ask.GET('/api/lessons/{id}/drawings', path(lesson))),
  });

/** What a wall screen shows. */
export const useWall = (lesson: number) =>
  useQuery({
    queryKey: [...keys.class(lesson), 'wall'],
    queryFn: () => answer(ask.GET('/api/lessons/{id}/wall', path(lesson))),
    placeholderData: keepPreviousData,
  });

/** What to look at before a class is closed. */
export const useClosing = (lesson: number) =>
  useQuery({
    queryKey: ['closing', lesson],
    queryFn: () => answer(ask.GET('/api/lessons/{id}/closing', path(lesson))),
    // What was marked a moment ago belongs to it.
    staleTime: 0,
    refetchOnMount: 'always',
  });

/** Two samples on one rule. */
export const useBeside = (sample: number, other: number | undefined) =>
  useQuery({
    queryKey: ['student', 'beside', sample, other],
    queryFn: ({ signal }) =>
      answer(
        ask.GET('/api/samples/{id}/beside', {
          params: { path: { id: sample }, query: { other: other ?? 0 } },
          signal,
        }),
      ),
    enabled: other !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** Which pieces of a row are taken unseen. */
export const useDraw = (asked: { of: number; seed: number } | undefined) =>
  useQuery({
    queryKey: ['draw', asked],
    queryFn: ({ signal }) =>
      answer(ask.GET('/api/blind-draw', { params: { query: asked ?? { of: 1, seed: 0 } }, signal })),
    enabled: asked !== undefined,
    retry: false,
    staleTime: Infinity,
  });
