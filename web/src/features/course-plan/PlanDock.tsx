import { Button, NativeSelect } from '@mantine/core';
import type { Api } from '../../api/client';
import { Dock, Reason } from '../../shared/dock';
import { capital, day } from '../../shared/format';
import { asSent } from './blocks';
import type { Chosen, Edit } from './blocks';
import { Goals } from './Goals';

/** What is chosen, with its reasons and what can be done with it; goals below. */
export function PlanDock({
  plan,
  block,
  onChoose,
  edit,
}: {
  plan: Api['CoursePlan'];
  block: Api['CourseBlock'] | undefined;
  onChoose: (chosen: Chosen) => void;
  edit: Edit;
}) {
  const session = block && plan.sessions[block.session];
  const broken = plan.sessions.flatMap((each) => each.broken);
  return (
    <Dock label="Reasons">
      {block && session ? (
        <>
          <div>
            <h2>{block.title}</h2>
            <p className="quiet">
              Session {session.number} · {day(session.starts_at)} ·{' '}
              {block.kind === 'new' ? 'new' : block.kind === 'review' ? 'review' : 'put in by hand'}
            </p>
          </div>
          <ul>
            {block.broken.map((rule) => (
              <Reason key={rule.rule} kind="caution" says={rule.words} />
            ))}
            {block.reasons.map((reason, index) => (
              <Reason key={index} kind="note" says={reason} />
            ))}
          </ul>
          {!session.held && <BlockActions plan={plan} block={block} onChoose={onChoose} edit={edit} />}
        </>
      ) : (
        <p className="quiet">Choose a technique to see why it stands there.</p>
      )}
      {broken.length > 0 && (
        <section>
          <h3>Sessions that do not hold</h3>
          <ul>
            {broken.map((rule, index) => (
              <Reason key={index} kind="caution" says={rule.words} />
            ))}
          </ul>
        </section>
      )}
      <Goals plan={plan} edit={edit} />
      <PutIn plan={plan} onChoose={onChoose} edit={edit} />
    </Dock>
  );
}

function BlockActions({
  plan,
  block,
  onChoose,
  edit,
}: {
  plan: Api['CoursePlan'];
  block: Api['CourseBlock'];
  onChoose: (chosen: Chosen) => void;
  edit: Edit;
}) {
  const offered = plan.techniques.find((technique) => technique.cut === block.cut)?.foods ?? [];
  const open = plan.sessions
    .map((session, index) => ({ session, index }))
    .filter(({ session }) => !session.held);
  return (
    <div className="stack">
      <div className="row">
        <Button variant="default" onClick={() => edit.change(block, { pinned: !block.pinned })}>
          {block.pinned ? 'Take the pin out' : 'Pin it here'}
        </Button>
        <Button variant="default" onClick={() => edit.change(block, undefined)}>
          Take out
        </Button>
      </div>
      <NativeSelect
        label="Session"
        value={String(block.session)}
        data={open.map(({ session, index }) => ({
          value: String(index),
          label: `${session.number} · ${day(session.starts_at)}`,
        }))}
        onChange={(event) => edit.move(block, Number(event.currentTarget.value))}
      />
      {offered.length > 0 && (
        <NativeSelect
          label="Food"
          value={block.food}
          data={[
            ...(offered.some((each) => each.food === block.food)
              ? []
              : [{ value: block.food, label: block.food_name }]),
            ...offered.map((each) => ({ value: each.food, label: `${each.name} · ${each.minutes} min` })),
          ]}
          onChange={(event) => {
            const food = event.currentTarget.value;
            edit.change(block, { food, amount: null, own_minutes: null, pinned: true });
            onChoose({ session: block.session, cut: block.cut, food });
          }}
        />
      )}
    </div>
  );
}

/** Puts a technique into a session by hand: it is pinned there. */
function PutIn({
  plan,
  onChoose,
  edit,
}: {
  plan: Api['CoursePlan'];
  onChoose: (chosen: Chosen) => void;
  edit: Edit;
}) {
  const open = plan.sessions
    .map((session, index) => ({ session, index }))
    .filter(({ session }) => !session.held);
  if (open.length === 0) return null;
  return (
    <form
      className="tight"
      onSubmit={(event) => {
        event.preventDefault();
        const data = new FormData(event.currentTarget);
        const cut = String(data.get('cut'));
        const session = Number(data.get('session'));
        const food = plan.techniques.find((technique) => technique.cut === cut)?.foods[0]?.food;
        if (food === undefined) return;
        edit.put([...asSent(plan), { session, cut, food, pinned: true, amount: null, own_minutes: null }]);
        onChoose({ session, cut, food });
      }}
    >
      <h3>Put in by hand</h3>
      <NativeSelect
        name="cut"
        aria-label="Technique"
        data={plan.techniques.map((technique) => ({
          value: technique.cut,
          label: capital(technique.name),
          disabled: technique.foods.length === 0,
        }))}
      />
      <NativeSelect
        name="session"
        aria-label="Into session"
        data={open.map(({ session, index }) => ({
          value: String(index),
          label: `Session ${session.number} · ${day(session.starts_at)}`,
        }))}
      />
      <Button type="submit" variant="default">
        Put in
      </Button>
    </form>
  );
}
