import { Button } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useSearchParams } from 'react-router';
import type { Api } from '../../api/client';
import { useRack } from '../../api/queries';
import { Dock, Reason } from '../../shared/dock';
import { Knife } from '../../shared/drawing';
import { useUnit, withUnit } from '../../shared/format';
import { Mark } from '../../shared/mark';
import { Failed, Loading } from '../../shared/State';
import { KnifeForm } from './KnifeForm';
import styles from './Rack.module.css';

/** Knives of one type and length hang together. */
function groups(rack: Api['RackKnife'][]): Api['RackKnife'][][] {
  const found: Api['RackKnife'][][] = [];
  for (const each of rack) {
    const last = found.at(-1);
    if (last?.[0]?.label === each.label) last.push(each);
    else found.push([each]);
  }
  return found.sort((a, b) => (b[0]?.knife.length ?? 0) - (a[0]?.knife.length ?? 0));
}

/** The rack, in the week and on the morning: which knives there are, and which are fit for class. */
export default function RackPage() {
  const rack = useRack();
  const [search, setSearch] = useSearchParams();
  const { ref, width } = useElementSize();
  if (!rack.data)
    return rack.isError ? <Failed error={rack.error} again={() => void rack.refetch()} /> : <Loading />;
  const knives = rack.data;
  const adding = search.has('add') || knives.length === 0;
  const asked = Number(search.get('knife') ?? Number.NaN);
  const selected = adding
    ? undefined
    : (knives.find((each) => each.knife.id === asked) ?? groups(knives)[0]?.[0]);
  const longest = Math.max(300, ...knives.map((each) => each.silhouette?.width ?? 0));
  const scale = Math.min(1, Math.max(0.42, ((width || 760) / 2 - 60) / longest));
  const dull = knives.filter((each) => !each.fit).length;
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>The rack</h1>
            <p className="quiet">
              {knives.length} {knives.length === 1 ? 'knife' : 'knives'}, {knives.length - dull} fit for class
              · drawn at one scale
            </p>
          </div>
          <div className="row">
            {dull > 0 && (
              <span className="chip" data-kind="stop">
                <Mark kind="stop" /> {dull} failed the edge test
              </span>
            )}
            <Button variant="default" onClick={() => setSearch({ add: '1' }, { replace: true })}>
              Add a knife
            </Button>
          </div>
        </div>
        <div ref={ref} />
        {knives.length === 0 && (
          <p>Nothing on the rack yet. Add the first knife: its number, type and length are enough.</p>
        )}
        <ul className={styles.rack} aria-label="Knives">
          {groups(knives).map((group) => (
            <li key={group.map((each) => each.knife.id).join()} className={styles.group}>
              {group[0]?.silhouette && (
                <Knife silhouette={group[0].silhouette} scale={scale} label={group[0].label} />
              )}
              <div>
                <strong>{group[0]?.label}</strong>
                <div className={styles.numbers}>
                  {group.map(({ knife, fit }) => (
                    <button
                      key={knife.id}
                      type="button"
                      className={styles.number}
                      aria-pressed={knife.id === selected?.knife.id}
                      aria-label={`No. ${knife.number}, ${group[0]?.label ?? ''}, ${fit ? 'sharp' : 'dull'}`}
                      data-dull={!fit}
                      onClick={() => setSearch({ knife: String(knife.id) }, { replace: true })}
                    >
                      {!fit && <Mark kind="stop" size={13} />}
                      <span className="mono">{knife.number}</span>
                    </button>
                  ))}
                </div>
              </div>
            </li>
          ))}
        </ul>
      </main>
      {selected ? (
        <KnifeDock key={`${selected.knife.id} ${selected.knife.version}`} each={selected} />
      ) : (
        <AddDock done={(id) => setSearch({ knife: String(id) }, { replace: true })} />
      )}
    </>
  );
}

function AddDock({ done }: { done: (id: number) => void }) {
  return (
    <Dock label="Add a knife">
      <h2>Add a knife</h2>
      <KnifeForm done={done} />
    </Dock>
  );
}

function KnifeDock({ each }: { each: Api['RackKnife'] }) {
  const [unit] = useUnit();
  const { knife } = each;
  return (
    <Dock label={`Knife no. ${knife.number}`}>
      <div>
        <h2>
          No. {knife.number} · {each.label}
        </h2>
        <p className="quiet">
          {each.type_name}, {withUnit(knife.length, unit)}
          {knife.hand ? `, ${knife.hand} hand only` : ', either hand'}
        </p>
      </div>
      {each.silhouette && (
        <Knife
          silhouette={each.silhouette}
          scale={0.72}
          label={`${each.label} in the dock`}
          mirrored={knife.hand === 'left'}
        />
      )}
      <ul>
        <Reason kind={each.fit ? 'held' : 'stop'} title={each.fit ? 'Sharp.' : 'Dull.'}>
          {each.why} {knife.note}
        </Reason>
        <Reason kind="note" title="Good for">
          {each.good_for}.
        </Reason>
        <Reason kind="note" title="Not for">
          {each.not_for}.
        </Reason>
        <Reason kind="caution" title="Test on paper or tomato skin,">
          never with a finger along the edge.
        </Reason>
      </ul>
      <KnifeForm knife={knife} />
    </Dock>
  );
}
