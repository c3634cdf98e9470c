import { useQueryClient } from '@tanstack/react-query';
import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { keys } from '../../api/queries';

/** Keeps measured pieces of an attempt. */
export const useKeepSample = (onKept: (text: string) => void) =>
  useChange('attempt', async ({ id, body }: { id: number; body: Api['TypedSample'] }) => {
    const marked = await answer(api.POST('/api/attempts/{id}/samples', { params: { path: { id } }, body }));
    onKept(body.text);
    return marked;
  });

/** Corrects a mark: it stays, with who took it back and why, and what is put in its place stands beside it. */
export const useCorrectMark = () =>
  useChange('attempt', ({ id, body }: { id: number; body: Api['CorrectMark'] }) =>
    answer(api.POST('/api/marks/{id}/correct', { params: { path: { id } }, body })),
  );

/** A step of the lesson's clock. What another device did meanwhile is shown where it does not fit. */
export function useRunStep(lesson: number) {
  const client = useQueryClient();
  return useChange(
    'run',
    (body: Api['RunStep']) =>
      answer(api.POST('/api/lessons/{id}/run', { params: { path: { id: lesson } }, body })),
    { refreshOnError: true, onSuccess: (run) => client.setQueryData(keys.run(lesson), run) },
  );
}

/** Takes a step of the clock back. */
export function useUndoRunStep(lesson: number) {
  const client = useQueryClient();
  return useChange(
    'run',
    (id: number) => answer(api.POST('/api/run-steps/{id}/undo', { params: { path: { id } } })),
    { refreshOnError: true, onSuccess: (run) => client.setQueryData(keys.run(lesson), run) },
  );
}

/** Keeps a round of questions as a briefing. */
export const useKeepBriefing = (lesson: number) =>
  useChange('briefing', (body: Api['AskRound']) =>
    answer(api.POST('/api/lessons/{id}/briefings', { params: { path: { id: lesson } }, body })),
  );

/** Places the stations as they stand. */
export const usePlaceStations = (course: number, onPlaced: () => void) =>
  useChange(
    'room',
    (places: Api['StationPlace'][]) =>
      answer(api.PUT('/api/courses/{id}/room', { params: { path: { id: course } }, body: { places } })),
    { onSuccess: onPlaced },
  );

/** Writes a nick or near-miss down. */
export const useWriteIncident = (lesson: number, onWritten: () => void) =>
  useChange(
    'incident',
    (body: Api['IncidentFields']) =>
      answer(api.POST('/api/lessons/{id}/incidents', { params: { path: { id: lesson } }, body })),
    { onSuccess: onWritten },
  );

/** Keeps what was shown with a sharp and a dulled knife. */
export const useKeepDemonstration = (id: number, onKept: () => void) =>
  useChange(
    'demonstration',
    (body: Api['DemonstrationFields']) =>
      answer(api.POST('/api/lessons/{id}/sharp-dull', { params: { path: { id } }, body })),
    { onSuccess: onKept },
  );

/** Takes back what was shown. */
export const useTakeDemonstrationBack = () =>
  useChange('demonstration', ({ id, said }: { id: number; said: Api['TakeBack'] }) =>
    answer(api.POST('/api/demonstrations/{id}/take-back', { params: { path: { id } }, body: said })),
  );
