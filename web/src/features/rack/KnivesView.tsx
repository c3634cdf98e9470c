import { Button, NumberInput, Select } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useRack } from '../../api/queries';
import { Dock } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { Mark } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { Said } from '../../shared/Said';
import { AddForm } from './AddForm';
import { ByCount } from './ByCount';
import { KnifeDock } from './KnifeDock';
import styles from './Rack.module.css';

const HANDS = [
  { value: '165', label: 'Small hand' },
  { value: '185', label: 'Medium hand' },
  { value: '205', label: 'Large hand' },
];

/** Groups that are drawn at once; more on demand, so that a rack of thousands opens quickly. */
const SHOWN = 60;
/** Numbers of one group that are shown at once. */
const NUMBERS = 24;

/** Which knives there are, and which are fit for class: in the week and on the morning. */
export function KnivesView({ courseId, tabs }: { courseId: number; tabs: React.ReactNode }) {
  const [search, setSearch] = useSearchParams();
  const [side, setSide] = useState<Api['Hand']>('right');
  const [handLength, setHandLength] = useState<number>();
  const rack = useRack(courseId, handLength ? { length: handLength, side } : undefined);
  const { ref, width } = useElementSize();
  const [groupsShown, setGroupsShown] = useState(SHOWN);
  if (!rack.data)
    return rack.isError && !handLength ? (
      <Failed error={rack.error} again={() => void rack.refetch()} />
    ) : (
      <Loading />
    );
  const { groups, count, fit } = rack.data;
  const adding = search.has('add') || count === 0;
  const asked = Number(search.get('knife') ?? Number.NaN);
  const all = groups.flatMap((group) => group.knives);
  const selected = adding ? undefined : (all.find((each) => each.knife.id === asked) ?? groups[0]?.knives[0]);
  const longest = Math.max(300, ...groups.map((group) => group.silhouette?.width ?? 0));
  const scale = Math.min(1, Math.max(0.42, ((width || 760) / 2 - 60) / longest));
  const select = (next: Record<string, string>) => setSearch(next, { replace: true });
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>The rack</h1>
            <p className="quiet">
              {count} {count === 1 ? 'knife' : 'knives'}, {fit} fit for class · drawn at one scale
            </p>
          </div>
          {tabs}
        </div>
        <div className="spread">
          <ForHand length={handLength} side={side} onLength={setHandLength} onSide={setSide} />
          <div className="row">
            {count > fit && (
              <span className="chip" data-kind="stop">
                <Mark kind="stop" /> {count - fit} failed the edge test
              </span>
            )}
            <Button variant="default" onClick={() => select({ add: '1' })}>
              Add knives
            </Button>
          </div>
        </div>
        <Trouble error={rack.error} />
        <div ref={ref} />
        {count === 0 && (
          <p>Nothing on the rack yet. Add the first knife: its number, type and length are enough.</p>
        )}
        <ul className={styles.rack} aria-label="Knives">
          {groups.slice(0, groupsShown).map((group) => (
            <Group
              key={`${group.knife_type} ${group.length} ${group.knives[0]?.knife.id ?? ''}`}
              group={group}
              scale={scale}
              selected={selected?.knife.id}
              mirrored={side === 'left' && handLength !== undefined}
              onSelect={(id) => select({ knife: String(id) })}
            />
          ))}
        </ul>
        {groups.length > groupsShown && (
          <Button variant="default" w="fit-content" onClick={() => setGroupsShown(groupsShown + SHOWN)}>
            Show {Math.min(SHOWN, groups.length - groupsShown)} more kinds of {groups.length}
          </Button>
        )}
      </main>
      {selected ? (
        <KnifeDock
          key={selected.knife.id}
          courseId={courseId}
          knifeId={selected.knife.id}
          onGone={() => select({})}
        />
      ) : (
        <Dock label="Add knives">
          <h2>Add knives</h2>
          <ByCount />
          <h3>One, or several alike</h3>
          <AddForm done={(id) => select({ knife: String(id) })} />
        </Dock>
      )}
    </>
  );
}

interface HandProps {
  length: number | undefined;
  side: Api['Hand'];
  onLength: (length: number | undefined) => void;
  onSide: (side: Api['Hand']) => void;
}

/** The hand that the rack is ordered for. */
function ForHand({ length, side, onLength, onSide }: HandProps) {
  return (
    <div className="row" style={{ alignItems: 'flex-end' }}>
      <Select
        aria-label="For this hand"
        placeholder="For this hand…"
        clearable
        w={160}
        data={HANDS}
        value={HANDS.some((h) => h.value === String(length)) ? String(length) : null}
        onChange={(value) => onLength(value ? Number(value) : undefined)}
      />
      {length !== undefined && (
        <>
          <NumberInput
            aria-label="Length of the hand, mm"
            w={110}
            suffix=" mm"
            value={length}
            onChange={(value) => onLength(value === '' ? undefined : Number(value))}
          />
          <Select
            aria-label="Working hand"
            w={110}
            allowDeselect={false}
            data={[
              { value: 'right', label: 'Right' },
              { value: 'left', label: 'Left' },
            ]}
            value={side}
            onChange={(value) => value && onSide(value as Api['Hand'])}
          />
        </>
      )}
    </div>
  );
}

interface GroupProps {
  group: Api['RackGroup'];
  scale: number;
  selected: number | undefined;
  mirrored: boolean;
  onSelect: (id: number) => void;
}

function Group({ group, scale, selected, mirrored, onSelect }: GroupProps) {
  const [all, setAll] = useState(false);
  const shown = all ? group.knives : group.knives.slice(0, NUMBERS);
  return (
    <li className={styles.group}>
      {group.silhouette && (
        <Knife silhouette={group.silhouette} scale={scale} label={group.label} mirrored={mirrored} />
      )}
      <div>
        <strong>{group.label}</strong>
        <div className={styles.numbers}>
          {shown.map(({ knife, fit, due, worn }) => (
            <button
              key={knife.id}
              type="button"
              className={styles.number}
              aria-pressed={knife.id === selected}
              aria-label={`No. ${knife.number}, ${group.label}, ${fit ? 'sharp' : 'dull'}${due[0] && fit ? `, ${due[0].title}` : ''}`}
              title={due.map((each) => each.title).join(', ')}
              data-dull={!fit}
              onClick={() => onSelect(knife.id)}
            >
              {!fit && <Mark kind="stop" size={13} />}
              {fit && worn && <Mark kind="caution" size={13} />}
              <span className="mono">{knife.number}</span>
            </button>
          ))}
          {group.knives.length > shown.length && (
            <Button size="xs" variant="default" onClick={() => setAll(true)}>
              and {group.knives.length - shown.length} more
            </Button>
          )}
        </div>
      </div>
      {group.comfort && (
        <p className="quiet">
          <strong className="figure">{group.comfort.score}</strong> <Said>{group.comfort.words}</Said>
        </p>
      )}
    </li>
  );
}
