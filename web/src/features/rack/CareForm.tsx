import { Button, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem, answer, api } from '../../api/client';
import { useChange } from '../../api/changes';
import { Reason } from '../../shared/dock';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';
import type { Day } from '../../api/time';

type Kind = Api['CareDeed']['kind'];

const KINDS: { value: Kind; label: string }[] = [
  { value: 'paper_test', label: 'Paper test' },
  { value: 'tomato_test', label: 'Tomato test' },
  { value: 'hone', label: 'Honed on the steel' },
  { value: 'stone', label: 'Sharpened on the stone' },
  { value: 'sent_out', label: 'Sent out to be ground' },
  { value: 'came_back', label: 'Came back' },
  { value: 'habit', label: 'A bad habit seen' },
  { value: 'incident', label: 'Something happened' },
];

interface Draft {
  kind: Kind;
  clean: number;
  passed: boolean;
  angle: number | null;
  strokes: number;
  grits: string;
  habit: Api['Habit'];
  on_day: Day;
  words: string;
}

function deedOf(draft: Draft): Api['CareDeed'] {
  const strokes = Math.max(0, Math.min(65535, Math.round(draft.strokes)));
  switch (draft.kind) {
    case 'paper_test':
      return { kind: 'paper_test', clean: draft.clean };
    case 'tomato_test':
      return { kind: 'tomato_test', passed: draft.passed };
    case 'hone':
      return { kind: 'hone', angle: draft.angle, strokes };
    case 'stone': {
      const grits = draft.grits
        .split(/[\s,]+/)
        .filter(Boolean)
        .map(Number);
      return { kind: 'stone', angle: draft.angle, strokes, grits };
    }
    case 'habit':
      return { kind: 'habit', habit: draft.habit };
    default:
      return { kind: draft.kind };
  }
}

/** Writes down what was done to a knife. */
export function CareForm({ courseId, care }: { courseId: number; care: Api['KnifeCare'] }) {
  const [draft, setDraft] = useState<Draft>({
    kind: 'paper_test',
    clean: care.paper_cuts,
    passed: true,
    angle: care.own_angle ?? null,
    strokes: 4,
    grits: '1000 6000',
    habit: 'scraped',
    on_day: care.today,
    words: '',
  });
  const change = (next: Partial<Draft>) => setDraft((now) => ({ ...now, ...next }));
  const save = useChange(
    'knife',
    () =>
      answer(
        api.POST('/api/rack/{id}/care', {
          params: { path: { id: care.knife.id } },
          body: {
            course: courseId,
            fields: { ...deedOf(draft), on_day: draft.on_day, words: draft.words },
          },
        }),
      ),
    { onSuccess: () => change({ words: '' }) },
  );
  const problem = save.error instanceof ApiProblem ? save.error : undefined;
  return (
    <form
      className="stack"
      aria-label="Write down"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <Select
        label="Write down"
        allowDeselect={false}
        data={KINDS}
        value={draft.kind}
        onChange={(kind) => kind && change({ kind: kind as Kind, strokes: kind === 'stone' ? 10 : 4 })}
        error={problem?.at('/kind')}
      />
      <DeedFields draft={draft} care={care} problem={problem} change={change} />
      <TextInput
        type="date"
        label="Day"
        value={draft.on_day}
        max={care.today}
        onChange={(e) => change({ on_day: e.currentTarget.value as Day })}
        error={problem?.at('/on_day')}
      />
      <TextInput
        label={draft.kind === 'incident' ? 'What happened' : 'Words, if any'}
        value={draft.words}
        onChange={(e) => change({ words: e.currentTarget.value })}
        error={problem?.at('/words')}
      />
      <Button type="submit" loading={save.isPending}>
        Write it down
      </Button>
      {save.data && (
        <ul role="status">
          <Reason kind={save.data.knife.edge_state === 'dull' ? 'stop' : 'held'} title="Written down.">
            {save.data.knife.edge_state === 'dull' ? 'Out of class until it passes a test.' : ''}
          </Reason>
          {save.data.warnings.map((words) => (
            <Reason key={words} kind="caution">
              {words}
            </Reason>
          ))}
        </ul>
      )}
      {save.error && !problem?.document.problems.length && <Trouble error={save.error} />}
    </form>
  );
}

interface DeedProps {
  draft: Draft;
  care: Api['KnifeCare'];
  problem: ApiProblem | undefined;
  change: (next: Partial<Draft>) => void;
}

/** What there is to say of the deed that was chosen. */
function DeedFields({ draft, care, problem, change }: DeedProps) {
  const ground = draft.kind === 'hone' || draft.kind === 'stone';
  return (
    <>
      {draft.kind === 'paper_test' && (
        <div>
          <SegmentedControl
            fullWidth
            aria-label="Clean cuts"
            value={String(draft.clean)}
            onChange={(value) => change({ clean: Number(value) })}
            data={Array.from({ length: care.paper_cuts + 1 }, (_, n) => String(n))}
          />
          <p className="quiet">
            clean cuts of {care.paper_cuts} in held paper; never a finger along the edge
          </p>
        </div>
      )}
      {draft.kind === 'tomato_test' && (
        <SegmentedControl
          fullWidth
          aria-label="The skin"
          value={draft.passed ? 'passed' : 'failed'}
          onChange={(value) => change({ passed: value === 'passed' })}
          data={[
            { value: 'passed', label: 'Skin parted' },
            { value: 'failed', label: 'Slipped' },
          ]}
        />
      )}
      {ground && (
        <div className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
          <NumberInput
            label="Strokes a side"
            value={draft.strokes}
            onChange={(v) => change({ strokes: Number(v) })}
            error={problem?.at('/strokes')}
          />
          <NumberInput
            label="Degrees"
            value={draft.angle ?? ''}
            onChange={(v) => change({ angle: v === '' ? null : Number(v) })}
            error={problem?.at('/angle')}
          />
        </div>
      )}
      {draft.kind === 'stone' && (
        <TextInput
          label="Grits, coarse first"
          value={draft.grits}
          onChange={(e) => change({ grits: e.currentTarget.value })}
          error={problem?.at('/grits')}
        />
      )}
      {draft.kind === 'habit' && (
        <Select
          label="Which"
          allowDeselect={false}
          data={care.habits.map((habit) => ({ value: habit.id, label: capital(habit.name) }))}
          value={draft.habit}
          onChange={(habit) => habit && change({ habit: habit as Api['Habit'] })}
          description={care.habits.find((habit) => habit.id === draft.habit)?.why}
          error={problem?.at('/habit')}
        />
      )}
    </>
  );
}
