import { ActionIcon, Button, NativeSelect } from '@mantine/core';
import type { Api } from '../../api/client';
import { Reason } from '../../shared/dock';
import { capital } from '../../shared/format';
import { Said } from '../../shared/Said';
import type { Edit } from './blocks';

const NOTCHES = ['safe', 'true', 'even', 'paced', 'held'] as const;

/** What the course is to reach, what the plan makes of it, and what would reach it. */
export function Goals({ plan, edit }: { plan: Api['CoursePlan']; edit: Edit }) {
  const goals = plan.goals.map(({ cut, notch, by }) => ({ cut, notch, by }));
  return (
    <section className="tight">
      <h3>Goals: every student</h3>
      {plan.goals.length === 0 && (
        <p className="quiet">None yet. A draft without goals teaches in the usual order.</p>
      )}
      <ul>
        {plan.goals.map((goal, index) => (
          <li key={index} className="spread" style={{ flexWrap: 'nowrap' }}>
            <ul>
              <Reason kind={goal.state.in_time ? 'held' : 'caution'} title={goal.title} says={goal.words}>
                {goal.ways.map((way) => (
                  <span key={way.change.kind} style={{ display: 'block' }}>
                    Would reach it: <Said>{way.words}</Said>
                  </span>
                ))}
              </Reason>
            </ul>
            <ActionIcon
              variant="subtle"
              color="gray"
              size={32}
              aria-label={`Drop the goal ${goal.title}`}
              onClick={() => edit.setGoals(goals.filter((_, at) => at !== index))}
            >
              ×
            </ActionIcon>
          </li>
        ))}
      </ul>
      <form
        className="row"
        onSubmit={(event) => {
          event.preventDefault();
          const data = new FormData(event.currentTarget);
          const notch = data.get('notch') as Api['NotchKind'];
          edit.setGoals([...goals, { notch, cut: String(data.get('cut')), by: Number(data.get('by')) }]);
        }}
      >
        <NativeSelect
          name="notch"
          aria-label="Notch"
          defaultValue="even"
          data={NOTCHES.map((notch) => ({ value: notch, label: capital(notch) }))}
          w={92}
        />
        <NativeSelect
          name="cut"
          aria-label="In"
          data={plan.techniques.map((technique) => ({ value: technique.cut, label: `in ${technique.name}` }))}
          w={150}
        />
        <NativeSelect
          name="by"
          aria-label="By session"
          defaultValue={String(plan.sessions.at(-1)?.number ?? 1)}
          data={plan.sessions.map((session) => ({
            value: String(session.number),
            label: `by session ${session.number}`,
          }))}
          w={132}
        />
        <Button type="submit" variant="default">
          Add
        </Button>
      </form>
    </section>
  );
}
