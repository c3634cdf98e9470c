import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { useDrawings } from '../../api/queries';
import { Mark } from '../../shared/mark';
import { Said } from '../../shared/Said';
import { Trouble } from '../../shared/State';
import { Arrange } from './Arrange';
import styles from './Class.module.css';
import { usePlaceStations } from './changes';
import { placesOf, rowsOf } from './places';
import { RoundBar } from './RoundBar';
import { Tile } from './Tile';

interface Props {
  view: Api['ClassView'];
  selected: number | undefined;
  onSelect: (student: number) => void;
}

/** Everyone at their board, where the boards stand. */
export function Stations({ view, selected, onSelect }: Props) {
  const drawings = useDrawings(view.lesson.id);
  const [moved, setMoved] = useState<Api['StationPlace'][]>();
  const keep = usePlaceStations(view.course.id, () => setMoved(undefined));
  return (
    <>
      <WatchNow view={view} onSelect={onSelect} />
      <RoundBar view={view} />
      {moved ? (
        <Arrange view={view} places={moved} onMove={setMoved} />
      ) : (
        <ul
          className={styles.stations}
          aria-label="Stations"
          data-placed={view.room.length > 0 || undefined}
          style={{ '--rows': rowsOf(view) } as React.CSSProperties}
        >
          {placesOf(view).map(({ station, place }) => (
            <li key={station.student.id} style={at(place)}>
              <button
                type="button"
                className={styles.station}
                aria-pressed={station.student.id === selected}
                data-paused={Boolean(station.stop)}
                data-running={Boolean(station.running)}
                onClick={() => onSelect(station.student.id)}
              >
                <Tile station={station} drawings={drawings.data} />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className={styles.arranging}>
        {moved ? (
          <>
            <span className="quiet">
              Drag each station to where it stands, or move it with the arrow keys.
            </span>
            <Button h={44} loading={keep.isPending} onClick={() => keep.mutate(moved)}>
              Keep the room
            </Button>
            <Button h={44} variant="default" onClick={() => setMoved(undefined)}>
              Leave it
            </Button>
            {view.room.length > 0 && (
              <Button h={44} variant="default" onClick={() => keep.mutate([])}>
                In rows again
              </Button>
            )}
          </>
        ) : (
          <Button
            size="compact-sm"
            h={44}
            variant="subtle"
            onClick={() => setMoved(placesOf(view).map(({ place }) => place))}
          >
            Lay out the room…
          </Button>
        )}
        <Trouble error={keep.error} />
      </div>
    </>
  );
}

const at = (place: Api['StationPlace']) =>
  ({ '--x': `${place.x / 10}%`, '--y': `${place.y / 10}%` }) as React.CSSProperties;

/** Whom to look at first, three at most, each with why. */
function WatchNow({ view, onSelect }: { view: Api['ClassView']; onSelect: (student: number) => void }) {
  const named = view.watch_now.flatMap((now) => {
    const station = view.stations.find((each) => each.student.id === now.student_id);
    return station ? [{ ...now, name: station.student.name }] : [];
  });
  if (named.length === 0) return null;
  return (
    <div className={styles.watch} role="group" aria-label="Watch now">
      <strong>Watch now</strong>
      {named.map((now) => (
        <button key={now.student_id} type="button" onClick={() => onSelect(now.student_id)}>
          <Mark kind={now.stopped ? 'stop' : 'watch'} size={18} label />
          <span>
            <strong>{now.name}</strong> <Said>{now.words}</Said>
          </span>
        </button>
      ))}
    </div>
  );
}
