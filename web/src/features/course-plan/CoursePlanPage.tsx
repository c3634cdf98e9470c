import { Button } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { Mark } from '../../shared/mark';
import { Failed, Loading, Trouble } from '../../shared/State';
import { useHere } from '../frame';
import { AddSessions } from './AddSessions';
import { asSent, chosenBlock, openSession, withBlock } from './blocks';
import type { Chosen } from './blocks';
import { useCoursePlan, useKeepPlan } from './changes';
import styles from './CoursePlan.module.css';
import { Lanes } from './Lanes';
import { PlanDock } from './PlanDock';

const KEPT: Api['PlanQuestion'] = { draft: false };

/** The whole course on one picture, on the Sunday before it: what is taught when, and whether it holds. */
export default function CoursePlanPage() {
  const { courseId } = useHere();
  return <Picture key={courseId} courseId={courseId} />;
}

function Picture({ courseId }: { courseId: number }) {
  const [question, ask] = useState(KEPT);
  const [chosen, choose] = useState<Chosen>();
  const answer = useCoursePlan(courseId, question);
  const keep = useKeepPlan(courseId, () => ask(KEPT));
  const plan = answer.data;
  if (!plan)
    return answer.isError ? <Failed error={answer.error} again={() => void answer.refetch()} /> : <Loading />;
  if (plan.sessions.length === 0) return <NoSession courseId={courseId} />;
  const goals = plan.goals.map(({ cut, notch, by }) => ({ cut, notch, by }));
  const put = (blocks: Api['DraftBlock'][]) => ask({ blocks, goals, draft: false });
  const move = (from: Chosen, to: number) => {
    put(withBlock(plan, from, { session: to, pinned: true }));
    choose({ ...from, session: to });
  };
  const edit = {
    put,
    move,
    step: (from: Chosen, by: 1 | -1) => {
      const to = openSession(plan, from.session, by);
      if (to !== undefined) move(from, to);
    },
    change: (from: Chosen, change: Partial<Api['DraftBlock']> | undefined) =>
      put(withBlock(plan, from, change)),
    setGoals: (next: Api['GoalFields'][]) => ask({ blocks: asSent(plan), goals: next, draft: false }),
  };
  return (
    <>
      <main className={styles.work}>
        <div className="spread">
          <div>
            <h1>The whole course</h1>
            <State plan={plan} />
          </div>
          <div className="row">
            {question !== KEPT && (
              <Button variant="default" onClick={() => ask(KEPT)}>
                Back to what is kept
              </Button>
            )}
            <Button variant="default" onClick={() => ask({ blocks: asSent(plan), goals, draft: true })}>
              Draft
            </Button>
            {question !== KEPT && (
              <Button
                loading={keep.isPending}
                onClick={() => keep.mutate({ stamp: plan.stamp, blocks: asSent(plan), goals })}
              >
                Keep it
              </Button>
            )}
          </div>
        </div>
        <Trouble error={keep.error ?? (answer.isError ? answer.error : null)} />
        <Lanes courseId={courseId} plan={plan} chosen={chosen} onChoose={choose} edit={edit} />
        <details className={styles.more}>
          <summary>Add sessions</summary>
          <AddSessions courseId={courseId} />
        </details>
      </main>
      <PlanDock plan={plan} block={chosenBlock(plan, chosen)} onChoose={choose} edit={edit} />
    </>
  );
}

function State({ plan }: { plan: Api['CoursePlan'] }) {
  const missed = plan.goals.filter((goal) => !goal.state.in_time).length;
  return (
    <p className={styles.state} role="status">
      <Mark kind={plan.broken > 0 ? 'caution' : 'held'} size={16} />
      {plan.broken === 0
        ? 'Every rule holds'
        : `${plan.broken} ${plan.broken === 1 ? 'rule is' : 'rules are'} broken`}
      {plan.goals.length > 0 && ` · ${plan.goals.length - missed} of ${plan.goals.length} goals in time`}
      {plan.changed > 0 && ` · ${plan.changed} not kept yet`}
      {plan.on_types && ' · planned on one knife of each type, until the rack is known'}
    </p>
  );
}

function NoSession({ courseId }: { courseId: number }) {
  return (
    <main className={styles.work}>
      <h1>No session yet</h1>
      <p>Say on which days the course is held; what is taught on them is drafted next.</p>
      <AddSessions courseId={courseId} />
    </main>
  );
}
