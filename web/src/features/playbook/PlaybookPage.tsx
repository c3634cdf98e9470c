import { SegmentedControl } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useHere } from '../frame';
import { KitView } from './KitView';
import { MatrixView } from './MatrixView';
import { OwnView } from './OwnView';
import { SchoolsView } from './SchoolsView';

const VIEWS = [
  { value: 'matrix', label: 'Knives for cuts' },
  { value: 'schools', label: 'Schools' },
  { value: 'kit', label: 'Smallest kit' },
  { value: 'own', label: 'Our own values' },
];

/** Which knife for which cut, held how; where practitioners disagree; how few knives are enough. */
export default function PlaybookPage() {
  const { courseId } = useHere();
  const [search, setSearch] = useSearchParams();
  const view = search.get('view') ?? 'matrix';
  const tabs = (
    <SegmentedControl
      aria-label="View"
      value={view}
      onChange={(next) => setSearch(next === 'matrix' ? {} : { view: next })}
      data={VIEWS}
      style={{ alignSelf: 'flex-start', flexWrap: 'wrap' }}
    />
  );
  if (view === 'schools') return <SchoolsView courseId={courseId} tabs={tabs} />;
  if (view === 'kit') return <KitView courseId={courseId} tabs={tabs} />;
  if (view === 'own') return <OwnView tabs={tabs} />;
  return <MatrixView courseId={courseId} tabs={tabs} />;
}
