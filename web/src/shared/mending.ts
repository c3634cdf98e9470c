import type { Api } from '../api/client';

/** Where a place is in which something is mended. */
export function mendingPath(way: Api['Opening'], courseId: number, lessonId: number): string {
  const course = `/courses/${courseId}`;
  const plan = `${course}/plan/${lessonId}`;
  switch (way.place) {
    case 'plan':
      return way.exercise_id ? `${plan}?exercise=${way.exercise_id}&edit=1` : plan;
    case 'rotation':
      return `${plan}/rotation`;
    case 'produce':
      return `${plan}/produce`;
    case 'rack':
      return `${course}/rack`;
    case 'rack_due':
      return `${course}/rack?view=due`;
    case 'check_sheet':
      return `${course}/rack/${lessonId}?view=check`;
    case 'count':
      return `${course}/rack/${lessonId}?view=count`;
    case 'class':
      return `${course}/class/${lessonId}`;
    case 'set_up':
      return `${course}/set-up`;
  }
}
