import type { Api } from '../../api/client';
import { answer, api } from '../../api/client';
import { useChange } from '../../api/changes';

interface Alike {
  fields: Api['KnifeFields'];
  count: number;
}

/** Puts knives on the rack that are alike but for their numbers. */
export const useAddKnives = (onAdded: (knives: Api['Knife'][]) => void) =>
  useChange('knife', (body: Alike) => answer(api.POST('/api/rack/many', { body })), { onSuccess: onAdded });

/** Puts a knife on the rack with what was seen of it before it was bought. */
export const useBuyKnife = (id: number, onBought: (knife: Api['Knife']) => void) =>
  useChange(
    'knife',
    (body: Api['BoughtKnife']) =>
      answer(api.POST('/api/courses/{id}/rack/bought', { params: { path: { id } }, body })),
    { onSuccess: onBought },
  );

/** Changes the record of a knife, from the version that the fields were taken from. */
export const useSaveKnife = (id: number, onSaved: (knife: Api['Knife']) => void) =>
  useChange(
    'knife',
    (body: { version: number; fields: Api['KnifeFields'] }) =>
      answer(api.PUT('/api/rack/{id}', { params: { path: { id } }, body })),
    { onSuccess: onSaved },
  );

/** Takes a knife off the rack. */
export const useArchiveKnife = ({ id, version }: Api['Knife'], onGone: () => void) =>
  useChange(
    'knife',
    () =>
      answer(
        api.POST('/api/rack/{id}/archive', { params: { path: { id } }, body: { version, archived: true } }),
      ),
    { onSuccess: onGone },
  );

/** Writes down what was done to a knife. */
export const useWriteCare = (course: number, id: number, onWritten: () => void) =>
  useChange(
    'knife',
    (fields: Api['CareFields']) =>
      answer(api.POST('/api/rack/{id}/care', { params: { path: { id } }, body: { course, fields } })),
    { onSuccess: onWritten },
  );

/** Takes in a table of knives. */
export const useTakeTable = (onTaken: () => void) =>
  useChange(
    'knife',
    (body: { text: string; skip_wrong: boolean }) => answer(api.POST('/api/rack/table', { body })),
    { onSuccess: onTaken },
  );

/** Puts knives by count on the rack. */
export const useTakeKnifeList = (onTaken: () => void) =>
  useChange(
    'knife',
    (body: { text: string; skip_wrong: boolean }) => answer(api.POST('/api/rack/list', { body })),
    { onSuccess: onTaken },
  );

/** Ticks a line of the check sheet; ticks go out one after the other. */
export const useTick = (id: number) =>
  useChange(
    'check',
    (body: { item: string; ticked: boolean; who: string }) =>
      answer(api.POST('/api/lessons/{id}/check', { params: { path: { id } }, body })),
    { scope: `check ${id}` },
  );

/** Counts knives out or in, one counting after the other. */
export const useCountKnives = (id: number, onCounted: () => void) =>
  useChange(
    'count',
    (body: Api['Counting']) =>
      answer(api.POST('/api/lessons/{id}/count', { params: { path: { id } }, body })),
    { scope: `count ${id}`, onSuccess: onCounted },
  );

/** Closes the class, or opens it again. */
export const useCloseClass = (id: number) =>
  useChange('count', (body: { who: string; words: string; closed: boolean }) =>
    answer(api.POST('/api/lessons/{id}/close', { params: { path: { id } }, body })),
  );
