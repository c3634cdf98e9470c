import { expect, test } from 'vitest';
import type { Api } from '../../api/client';
import { moved, placesOf } from './places';

const station = (number: number) => ({ student: { id: number, station: number } }) as Api['Station'];

test('each station has a place of its own in the room, placed or not', () => {
  const stations = Array.from({ length: 30 }, (_, nth) => station(nth + 1));
  const room = [{ station: 7, x: 500, y: 20 }];
  const places = placesOf({ stations, room });
  expect(places.map(({ place }) => place.station)).toEqual(stations.map((each) => each.student.station));
  expect(places[6]?.place).toEqual(room[0]);
  const seen = new Set(places.map(({ place }) => `${place.x} ${place.y}`));
  expect(seen.size).toBe(30);
  expect(places.every(({ place: { x, y } }) => x >= 0 && x <= 1000 && y >= 0 && y <= 1000)).toBe(true);
});

test('a station is moved on the grid and stays in the room', () => {
  const place = { station: 1, x: 500, y: 990 };
  expect(moved(place, { x: 13, y: 40 })).toEqual({ station: 1, x: 510, y: 1000 });
  expect(moved(place, { x: -900, y: 0 })).toEqual({ station: 1, x: 0, y: 990 });
});
