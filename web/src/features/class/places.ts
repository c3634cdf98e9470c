import type { Api } from '../../api/client';

/** Stations to a row while nobody has said where they stand. */
const ROW = 4;
const COLUMNS = [0, 280, 720, 1000];

/** Rows that so many stations stand in. */
export const rowsOf = (view: Pick<Api['ClassView'], 'stations'>) => Math.ceil(view.stations.length / ROW);

/** Where each station is drawn: where it was placed, or else in rows of four with an aisle. */
export function placesOf(view: Pick<Api['ClassView'], 'stations' | 'room'>) {
  const last = Math.max(1, rowsOf(view) - 1);
  return view.stations.map((station, nth) => {
    const number = station.student.station;
    const placed = view.room.find((each) => each.station === number);
    const inRows = {
      station: number,
      x: COLUMNS[nth % ROW] ?? 500,
      y: Math.round((Math.floor(nth / ROW) / last) * 1000),
    };
    return { station, place: placed ?? inRows };
  });
}

/** A place moved within the room, on a grid of ten. */
export function moved(place: Api['StationPlace'], by: { x: number; y: number }): Api['StationPlace'] {
  const within = (value: number) => Math.min(1000, Math.max(0, Math.round(value / 10) * 10));
  return { ...place, x: within(place.x + by.x), y: within(place.y + by.y) };
}
