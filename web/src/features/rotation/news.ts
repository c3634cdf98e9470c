import type { Api } from '../../api/client';

type News = Api['RotationFields'];
type Turn = Pick<Api['PinnedTurn'], 'student_id' | 'exercise_id'>;

const toggled = (ids: number[], id: number) =>
  ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id];

const isTurn = (turn: Turn) => (pin: Api['PinnedTurn']) =>
  pin.student_id === turn.student_id && pin.exercise_id === turn.exercise_id;

/** A student is not there, or is there after all. */
export const withAbsent = (news: News, student: number): News => ({
  ...news,
  absent: toggled(news.absent, student),
});

/** A student is there from a round on; from the first again where that is 1. */
export const withLate = (news: News, student: number, from: number): News => {
  const others = news.late.filter((late) => late.student_id !== student);
  return { ...news, late: from > 1 ? [...others, { student_id: student, from_round: from }] : others };
};

/** A knife is out of the lesson, or back in it. */
export const withKnife = (news: News, knife: number): News => ({
  ...news,
  knives_out: toggled(news.knives_out, knife),
});

/** A turn is held where it is, or let go. */
export const withPin = (news: News, pin: Api['PinnedTurn']): News => {
  const held = news.pins.some(isTurn(pin));
  const others = news.pins.filter((each) => !isTurn(pin)(each));
  return { ...news, pins: held ? others : [...others, pin] };
};
