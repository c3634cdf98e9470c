import { Button, NativeSelect, Table } from '@mantine/core';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, ask } from '../../api/client';
import type { Api } from '../../api/client';
import type { Moment } from '../../api/time';
import { civil, day, hour } from '../../shared/format';
import { Failed } from '../../shared/State';
import styles from './Staff.module.css';

/** What was changed by whom, the latest first. */
export function Changes({ people, zone }: { people: Api['StaffMember'][]; zone: string }) {
  const [by, setBy] = useState('');
  const read = useInfiniteQuery({
    queryKey: ['changes', by],
    queryFn: ({ pageParam }) =>
      answer(
        ask.GET('/api/changes', {
          params: { query: { ...(pageParam && { before: pageParam }), ...(by && { by: Number(by) }) } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (page) => (page.more ? page.changes.at(-1)?.id : undefined),
    // Nothing here makes them old: they grow with every change of anybody.
    staleTime: 0,
  });
  if (read.isError) return <Failed error={read.error} again={() => void read.refetch()} />;
  const all = read.data?.pages.flatMap((page) => page.changes) ?? [];
  return (
    <section className={styles.section} aria-label="What was changed">
      <h2>What was changed</h2>
      {people.length > 1 && (
        <NativeSelect
          label="By"
          w={240}
          value={by}
          onChange={(event) => setBy(event.currentTarget.value)}
          data={[
            { value: '', label: 'everybody' },
            ...people.map((member) => ({ value: String(member.id), label: member.name })),
          ]}
        />
      )}
      {read.data && all.length === 0 && (
        <p className="quiet">Nothing yet. Each change is noted here from now on, for some 400 days.</p>
      )}
      {all.length > 0 && (
        <Table withTableBorder verticalSpacing={4} className={styles.changes}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>When</Table.Th>
              <Table.Th>Who</Table.Th>
              <Table.Th>What</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {all.map((change) => {
              const there = civil(change.at as Moment, zone);
              return (
                <Table.Tr key={change.id}>
                  <Table.Td>
                    {day(there)}, {hour(there)}
                  </Table.Td>
                  <Table.Td>{change.name || <span className="quiet">no name told</span>}</Table.Td>
                  <Table.Td>
                    {change.words}
                    {change.subject && <span className="quiet"> · {change.subject}</span>}
                  </Table.Td>
                </Table.Tr>
              );
            })}
          </Table.Tbody>
        </Table>
      )}
      {read.hasNextPage && (
        <Button
          variant="default"
          w="fit-content"
          loading={read.isFetchingNextPage}
          onClick={() => void read.fetchNextPage()}
        >
          Earlier changes
        </Button>
      )}
    </section>
  );
}
