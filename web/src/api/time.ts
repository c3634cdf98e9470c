// Three kinds of time, none of which stands for another. Each is text on the wire; an ambient enum makes
// it a type of its own that costs nothing and passes through every generic untouched.

/** An instant in UTC, e.g. `2026-10-06T17:10:00Z`: it has an hour only in a time zone. */
export declare enum Moment {
  example = '2026-10-06T17:10:00Z',
}

/** A day of the calendar where the school is, e.g. `2026-10-06`. */
export declare enum Day {
  example = '2026-10-06',
}

/** A day and a time of day by the clock on the school's wall, e.g. `2026-10-06T18:30:00`. */
export declare enum CivilTime {
  example = '2026-10-06T18:30:00',
}
