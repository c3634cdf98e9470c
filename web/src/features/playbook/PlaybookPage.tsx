import { SegmentedControl } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useHere } from '../frame';
import { KitView } from './KitView';
import { MatrixView } from './MatrixView';
import { OwnView } from './OwnView';
import { DoctrinesView } from './DoctrinesView';

const VIEWS = [
  { value: 'matrix', label: 'Knives for cuts' },
  { value: 'doctrines', label: 'Doctrines' },
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
  if (view === 'doctrines') return <DoctrinesView courseId={courseId} tabs={tabs} />;
  if (view === 'kit') return <KitView courseId={courseId} tabs={tabs} />;
  if (view === 'own') return <OwnView tabs={tabs} />;
  return <MatrixView courseId={courseId} tabs={tabs} />;
}
