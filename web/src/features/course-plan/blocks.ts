import type { Api } from '../../api/client';

type Block = Api['CourseBlock'];

/** Blocks of all sessions, as they are sent back. */
export const asSent = (plan: Api['CoursePlan']): Api['DraftBlock'][] =>
  plan.sessions.flatMap((session) =>
    session.blocks.map(({ session: at, cut, food, pinned, amount, own_minutes }) => ({
      session: at,
      cut,
      food,
      pinned,
      amount,
      own_minutes,
    })),
  );

/** Which block is meant: a session has each technique on each food once. */
export interface Chosen {
  session: number;
  cut: string;
  food: string;
}

export const isChosen = (block: Chosen, chosen: Chosen | undefined) =>
  block.session === chosen?.session && block.cut === chosen.cut && block.food === chosen.food;

export const chosenBlock = (plan: Api['CoursePlan'], chosen: Chosen | undefined): Block | undefined =>
  chosen && plan.sessions[chosen.session]?.blocks.find((block) => isChosen(block, chosen));

/** The plan's blocks with one of them changed, or taken out. */
export const withBlock = (
  plan: Api['CoursePlan'],
  chosen: Chosen,
  change: Partial<Api['DraftBlock']> | undefined,
): Api['DraftBlock'][] =>
  asSent(plan).flatMap((block) =>
    !isChosen(block, chosen) ? [block] : change ? [{ ...block, ...change }] : [],
  );

/** The picture with its blocks in other sessions; what is new to it waits for the answer. */
export function placed(plan: Api['CoursePlan'], blocks: Api['DraftBlock'][]): Api['CoursePlan'] {
  const known = plan.sessions.flatMap((session) => session.blocks);
  const at = (index: number) =>
    blocks
      .filter((block) => block.session === index)
      .flatMap((block) => {
        const same = known.filter((each) => each.cut === block.cut && each.food === block.food);
        const there = same.find((each) => each.session === index) ?? same[0];
        return there ? [{ ...there, session: index, pinned: block.pinned }] : [];
      });
  const sessions = plan.sessions.map((session, index) => ({ ...session, blocks: at(index) }));
  return { ...plan, sessions };
}

/** The next session to the left or right that was not held yet. */
export function openSession(plan: Api['CoursePlan'], from: number, by: 1 | -1): number | undefined {
  const at = from + by;
  const session = plan.sessions[at];
  return session?.held ? openSession(plan, at, by) : session && at;
}

/** What can be done with the plan on the screen. */
export interface Edit {
  put: (blocks: Api['DraftBlock'][]) => void;
  move: (from: Chosen, to: number) => void;
  step: (from: Chosen, by: 1 | -1) => void;
  change: (from: Chosen, change: Partial<Api['DraftBlock']> | undefined) => void;
  setGoals: (goals: Api['GoalFields'][]) => void;
}
