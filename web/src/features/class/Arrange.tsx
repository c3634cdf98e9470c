import { useRef } from 'react';
import type { Api } from '../../api/client';
import styles from './Class.module.css';
import { moved, rowsOf } from './places';

interface Props {
  view: Api['ClassView'];
  places: Api['StationPlace'][];
  onMove: (places: Api['StationPlace'][]) => void;
}

const STEP = 20;
const ARROWS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -STEP, y: 0 },
  ArrowRight: { x: STEP, y: 0 },
  ArrowUp: { x: 0, y: -STEP },
  ArrowDown: { x: 0, y: STEP },
};

/** The room while its stations are laid out: dragged once, or moved with the arrow keys. */
export function Arrange({ view, places, onMove }: Props) {
  const room = useRef<HTMLUListElement>(null);
  const held = useRef<{ station: number; x: number; y: number } | undefined>(undefined);
  const put = (place: Api['StationPlace']) =>
    onMove(places.map((each) => (each.station === place.station ? place : each)));
  return (
    <ul
      ref={room}
      className={styles.stations}
      aria-label="Stations to lay out"
      data-placed
      style={{ '--rows': rowsOf(view) } as React.CSSProperties}
    >
      {places.map((place) => {
        const name = view.stations.find((each) => each.student.station === place.station)?.student.name;
        return (
          <li
            key={place.station}
            style={{ '--x': `${place.x / 10}%`, '--y': `${place.y / 10}%` } as React.CSSProperties}
          >
            <button
              type="button"
              className={styles.station}
              data-arranging
              aria-label={`Station ${place.station}, ${name}: ${place.x} from the left, ${place.y} from the front`}
              onKeyDown={(event) => {
                const by = ARROWS[event.key];
                if (!by) return;
                event.preventDefault();
                put(moved(place, by));
              }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                held.current = { station: place.station, x: event.clientX, y: event.clientY };
              }}
              onPointerMove={(event) => {
                const from = held.current;
                const box = room.current?.getBoundingClientRect();
                if (!from || !box || from.station !== place.station) return;
                const by = {
                  x: ((event.clientX - from.x) / box.width) * 1000,
                  y: ((event.clientY - from.y) / box.height) * 1000,
                };
                const to = moved(place, by);
                if (to.x === place.x && to.y === place.y) return;
                held.current = { station: place.station, x: event.clientX, y: event.clientY };
                put(to);
              }}
              onPointerUp={() => (held.current = undefined)}
              onPointerCancel={() => (held.current = undefined)}
            >
              <span className={styles.head}>
                <span className="mono">{place.station}</span>
              </span>
              <strong>{name}</strong>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
