import { hashKey, useQuery } from '@tanstack/react-query';
import type { QueryKey, UseQueryOptions } from '@tanstack/react-query';
import { useState } from 'react';

/**
 * Follows a question that changes as fast as a hand moves: one is open at a time, and when it is answered the
 * newest is asked. What came in between is never asked, so nothing piles up where answers are slow, and each
 * answer is shown while the hand still moves.
 */
export function useNewest<Question, Data, Key extends QueryKey>(
  newest: Question,
  read: (question: Question) => UseQueryOptions<Data, Error, Data, Key>,
) {
  const [asked, ask] = useState(newest);
  const found = useQuery(read(asked));
  if (!found.isFetching && hashKey([asked]) !== hashKey([newest])) ask(newest);
  return found;
}
