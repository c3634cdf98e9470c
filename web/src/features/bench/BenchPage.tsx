import { SegmentedControl } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useHere } from '../frame';
import { BlockView } from './BlockView';
import { OnionView } from './OnionView';
import { StudentCard } from './StudentCard';

const VIEWS = [
  { value: 'block', label: 'Sticks, dice, slices' },
  { value: 'onion', label: 'Layers' },
];

/** A cut seen before it is made: pieces, waste, strokes, minutes, evenness. */
export default function BenchPage() {
  const { courseId } = useHere();
  const [search, setSearch] = useSearchParams();
  const view = search.get('view') ?? 'block';
  const tabs = (
    <SegmentedControl
      aria-label="View"
      value={view === 'onion' ? 'onion' : 'block'}
      onChange={(next) => setSearch(next === 'block' ? {} : { view: next })}
      data={VIEWS}
      style={{ alignSelf: 'flex-start' }}
    />
  );
  // Each view keeps its own draft of the address, so one is not carried into another.
  if (view === 'onion') return <OnionView key="onion" tabs={tabs} />;
  if (view === 'card') return <StudentCard courseId={courseId} tabs={null} />;
  return <BlockView key="block" courseId={courseId} tabs={tabs} />;
}
