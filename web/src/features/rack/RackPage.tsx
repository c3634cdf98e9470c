import { SegmentedControl } from '@mantine/core';
import { Suspense, lazy } from 'react';
import { useSearchParams } from 'react-router';
import { Loading } from '../../shared/State';
import { useHere } from '../frame';
import { CheckView } from './CheckView';
import { CountView } from './CountView';
import { DueView } from './DueView';
import { KnivesView } from './KnivesView';
import { TableView } from './TableView';

// A knife is bought a few times a year: the rack comes up without it.
const BuyView = lazy(() => import('./BuyView'));

const VIEWS = [
  { value: 'knives', label: 'Knives' },
  { value: 'due', label: 'Due' },
  { value: 'check', label: 'Before class' },
  { value: 'count', label: 'Count' },
  { value: 'buy', label: 'Buying check' },
  { value: 'table', label: 'Table' },
];

/** The knives: what there is, what is due, what a class needs, out and in, and what is bought. */
export default function RackPage() {
  const { courseId, lesson } = useHere();
  const [search, setSearch] = useSearchParams();
  const view = search.get('view') ?? 'knives';
  const tabs = (
    <SegmentedControl
      aria-label="View"
      value={view}
      onChange={(next) => setSearch(next === 'knives' ? {} : { view: next })}
      data={VIEWS}
      style={{ alignSelf: 'flex-start', flexWrap: 'wrap' }}
    />
  );
  if (view === 'due') return <DueView courseId={courseId} tabs={tabs} />;
  if (view === 'check') return <CheckView lessonId={lesson?.id} courseId={courseId} tabs={tabs} />;
  if (view === 'count') return <CountView lessonId={lesson?.id} courseId={courseId} tabs={tabs} />;
  if (view === 'buy')
    return (
      <Suspense fallback={<Loading />}>
        <BuyView courseId={courseId} tabs={tabs} />
      </Suspense>
    );
  if (view === 'table') return <TableView tabs={tabs} />;
  return <KnivesView courseId={courseId} tabs={tabs} />;
}
