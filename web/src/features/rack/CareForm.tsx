import { Button, NumberInput, SegmentedControl, Select, TextInput } from '@mantine/core';
import type { Api } from '../../api/client';
import { Reason } from '../../shared/dock';
import { orNull, useFields, whole } from '../../shared/fields';
import type { FieldsForm } from '../../shared/fields';
import { capital } from '../../shared/format';
import { Trouble } from '../../shared/State';
import type { Day } from '../../api/time';
import { useWriteCare } from './changes';

/** An inspection is written down by the buying check. */
type Kind = Exclude<Api['CareDeed']['kind'], 'inspection'>;

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

type Draft = {
  kind: Kind;
  clean: number;
  passed: boolean;
  angle: number | null;
  strokes: number;
  grits: string;
  habit: Api['Habit'];
  on_day: Day;
  words: string;
};

function deedOf(draft: Draft): Api['CareDeed'] {
  const strokes = whole(draft.strokes);
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
  const { form, trouble, told } = useFields<Draft>({
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
  const draft = form.values;
  const save = useWriteCare(courseId, care.knife.id, () => form.setFieldValue('words', ''));
  return (
    <form
      className="stack"
      aria-label="Write down"
      onSubmit={form.onSubmit((kept) =>
        save.mutate({ ...deedOf(kept), on_day: kept.on_day, words: kept.words }, told),
      )}
    >
      <Select
        label="Write down"
        allowDeselect={false}
        data={KINDS}
        {...form.getInputProps('kind')}
        onChange={(kind) => form.setValues({ kind: kind as Kind, strokes: kind === 'stone' ? 10 : 4 })}
      />
      <DeedFields form={form} care={care} />
      <TextInput type="date" label="Day" max={care.today} {...form.getInputProps('on_day')} />
      <TextInput
        label={draft.kind === 'incident' ? 'What happened' : 'Words, if any'}
        {...form.getInputProps('words')}
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
      <Trouble error={trouble} />
    </form>
  );
}

interface DeedProps {
  form: FieldsForm<Draft>;
  care: Api['KnifeCare'];
}

/** What there is to say of the deed that was chosen. */
function DeedFields({ form, care }: DeedProps) {
  const draft = form.values;
  const ground = draft.kind === 'hone' || draft.kind === 'stone';
  return (
    <>
      {draft.kind === 'paper_test' && (
        <div>
          <SegmentedControl
            fullWidth
            aria-label="Clean cuts"
            value={String(draft.clean)}
            onChange={(value) => form.setFieldValue('clean', Number(value))}
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
          onChange={(value) => form.setFieldValue('passed', value === 'passed')}
          data={[
            { value: 'passed', label: 'Skin parted' },
            { value: 'failed', label: 'Slipped' },
          ]}
        />
      )}
      {ground && (
        <div className="row" style={{ flexWrap: 'nowrap', alignItems: 'flex-start' }}>
          <NumberInput label="Strokes a side" {...form.getInputProps('strokes')} />
          <NumberInput
            label="Degrees"
            {...form.getInputProps('angle')}
            value={draft.angle ?? ''}
            onChange={(v) => form.setFieldValue('angle', orNull(v))}
          />
        </div>
      )}
      {draft.kind === 'stone' && <TextInput label="Grits, coarse first" {...form.getInputProps('grits')} />}
      {draft.kind === 'habit' && (
        <Select
          label="Which"
          allowDeselect={false}
          data={care.habits.map((habit) => ({ value: habit.id, label: capital(habit.name) }))}
          {...form.getInputProps('habit')}
          description={care.habits.find((habit) => habit.id === draft.habit)?.why}
        />
      )}
    </>
  );
}
