import { SegmentedControl } from '@mantine/core';
import { useSearchParams } from 'react-router';
import { useHere } from '../frame';
import { BlockView } from './BlockView';
import { OnionView } from './OnionView';

const VIEWS = [
  { value: 'block', label: 'Sticks and dice' },
  { value: 'onion', label: 'Onion' },
];

/** A cut seen before it is made: pieces, waste, strokes, minutes, evenness. */
export default function BenchPage() {
  const { courseId } = useHere();
  const [search, setSearch] = useSearchParams();
  const view = search.get('view') ?? 'block';
  const tabs = (
    <SegmentedControl
      aria-label="View"
      value={view}
      onChange={(next) => setSearch(next === 'block' ? {} : { view: next })}
      data={VIEWS}
      style={{ alignSelf: 'flex-start' }}
    />
  );
  return view === 'onion' ? (
    <OnionView courseId={courseId} tabs={tabs} />
  ) : (
    <BlockView courseId={courseId} tabs={tabs} />
  );
}
