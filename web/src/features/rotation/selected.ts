/** What the dock is about: a student, or the turn of one in an exercise. */
export interface Selected {
  student: number;
  exercise?: number;
}
