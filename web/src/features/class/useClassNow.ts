import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { classOf, useCatalogue, useClass } from '../../api/queries';
import { useTouches } from '../../api/touches/queue';
import { withTouches } from './withTouches';

/** So long the class is at rest before it is read for its other exercises, for when the network fails. */
const REST_MS = 2_500;

/** The class as it was read, with what was touched on this device and is not in it yet. */
export function useClassNow(lesson: number, exercise: number | undefined) {
  const read = useClass(lesson, exercise);
  const catalogue = useCatalogue();
  const { taken, unsent } = useTouches();
  const data = useMemo(
    () => read.data && catalogue.data && withTouches(read.data, [...taken, ...unsent], catalogue.data),
    [read.data, catalogue.data, taken, unsent],
  );
  const client = useQueryClient();
  const others = read.data?.exercises.map((each) => each.id).join() ?? '';
  useEffect(() => {
    const timer = setTimeout(() => {
      for (const id of others.split(',').filter(Boolean).map(Number))
        void client.prefetchQuery(classOf(lesson, id));
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [client, lesson, others]);
  return { ...read, data };
}
