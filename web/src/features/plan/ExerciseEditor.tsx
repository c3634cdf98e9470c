import { Button, NumberInput, SegmentedControl, Select } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import type { Api } from '../../api/client';
import { ApiProblem } from '../../api/client';
import { useAdvice, useCatalogue, useTint } from '../../api/queries';
import { Knife, Section } from '../../shared/drawing';
import { useUnit } from '../../shared/format';
import { cutChoices, foodChoices, isMadeOf } from '../../shared/pantry';
import { Mark } from '../../shared/mark';
import { Trouble } from '../../shared/State';
import { useSaveExercise } from './changes';
import { Figures } from './ExerciseCard';
import { USUAL } from './making';
import { MakingFields } from './MakingFields';
import { Options } from './Options';
import { sizeIn } from './size';
import styles from './Plan.module.css';

type Choice = Api['AdviceChoice'];

interface Props {
  plan: Api['PlanView'];
  /** The exercise to change; none to add one. */
  exercise?: Api['Exercise'];
  food?: string | null;
  cut?: string | null;
  /** Knife to start with, as `type/length`. */
  knife?: string | null;
  /** Pieces for each student to start with. */
  amount?: string | null;
  /** How it is made, to start with. */
  making?: Api['Making'];
  onAdvice: (advice: Api['Advice'] | undefined) => void;
  done: () => void;
}

function firstChoice({ exercise, food, cut, knife, amount: asked, making }: Props): Choice {
  if (exercise) {
    const { grip, hold, motion, third, knife_type, knife_length, amount, own_minutes, making } = exercise;
    return {
      food: exercise.food,
      cut: exercise.cut,
      grip,
      hold,
      motion,
      third,
      knife_type,
      knife_length,
      amount,
      own_minutes,
      making,
    };
  }
  const [knife_type, length] = knife?.split('/') ?? [];
  return {
    food: food ?? '',
    cut: cut ?? '',
    amount: asked ? { kind: 'pieces', count: Number(asked) } : null,
    making,
    ...(knife_type && length ? { knife_type, knife_length: Number(length) } : {}),
  };
}

/** What is proposed is left open; a new food or cut drops what was chosen for the old one. */
const open: Partial<Choice> = {
  grip: null,
  hold: null,
  motion: null,
  third: null,
  knife_type: null,
  knife_length: null,
};

/** Choose on the left, see the drawing, with reasons in the dock; every figure follows while choosing. */
export function ExerciseEditor(props: Props) {
  const { plan, exercise, onAdvice, done } = props;
  const [choice, setChoice] = useState<Choice>(() => firstChoice(props));
  const [asked] = useDebouncedValue(choice, 60);
  const catalogue = useCatalogue();
  const complete = asked.food !== '' && asked.cut !== '';
  const found = useAdvice(plan.course.id, complete ? asked : undefined);
  const advice = complete ? found.data : undefined;
  const change = (next: Partial<Choice>) => setChoice((now) => ({ ...now, ...next }));
  useEffect(() => onAdvice(advice), [advice, onAdvice]);
  const save = useSaveExercise(plan, exercise, done);
  const problem = [save.error, found.error].find((error) => error instanceof ApiProblem);
  const at = (pointer: string) => (problem instanceof ApiProblem ? problem.at(pointer) : undefined);
  const taught = catalogue.data?.sets.find((set) => set.id === plan.course.standard_set)?.cuts ?? {};
  const family = catalogue.data?.cuts.find((cut) => cut.id === choice.cut)?.family;
  return (
    <section
      className={`card ${styles.editor}`}
      aria-label={exercise ? 'Change the exercise' : 'New exercise'}
    >
      <div className="stack">
        <Select
          label="Food"
          placeholder="Choose a food"
          searchable
          data={foodChoices(
            catalogue.data,
            (each) => choice.food !== '' || !choice.cut || isMadeOf(each, choice.cut),
          )}
          value={choice.food || null}
          onChange={(value) => {
            const next = catalogue.data?.foods.find((each) => each.id === value);
            const cut = next && !isMadeOf(next, choice.cut) ? '' : choice.cut;
            change({ ...open, food: value ?? '', cut, amount: null, making: USUAL });
          }}
          error={at('/food')}
        />
        <Select
          label="Cut"
          placeholder="Choose a cut"
          searchable
          data={cutChoices(catalogue.data, choice.food)}
          value={choice.cut || null}
          onChange={(cut) => change({ ...open, cut: cut ?? '', amount: null, making: USUAL })}
          error={at('/cut')}
        />
        <AmountFields
          amount={choice.amount ?? advice?.amount}
          usual={advice?.usual ?? []}
          change={(amount) => change({ amount })}
          error={at('/amount')}
        />
        <MakingFields
          making={choice.making ?? USUAL}
          sticks={['strips', 'dice'].includes(family ?? '')}
          peels={(catalogue.data?.foods.find((each) => each.id === choice.food)?.peel ?? 0) > 0}
          standard={taught[choice.cut]}
          change={(making) => change({ making })}
          at={at}
        />
        <NumberInput
          label="Your own minutes for each"
          description="Leave empty for the computed ones"
          min={0.5}
          max={240}
          step={0.5}
          value={choice.own_minutes ?? ''}
          onChange={(value) => change({ own_minutes: value === '' ? null : Number(value) })}
          error={at('/own_minutes')}
        />
        <div className="row">
          <Button
            onClick={() => save.mutate(choice)}
            loading={save.isPending}
            disabled={!advice?.setup || advice.refused}
          >
            {exercise ? 'Save the exercise' : 'Add to the lesson'}
          </Button>
          <Button variant="default" onClick={done}>
            Cancel
          </Button>
        </div>
        {advice?.refused && <p role="status">A rule refuses this setup; the reason is beside it.</p>}
        <Trouble error={save.error} />
      </div>
      {advice ? (
        <Setup advice={advice} choice={choice} change={change} at={at} />
      ) : (
        <p className="quiet">Choose a cut and a food: the core proposes the rest.</p>
      )}
    </section>
  );
}

const MOST: Record<Api['Amount']['kind'], number> = { pieces: 2000, units: 100, grams: 5000 };

/** How much each student cuts; another way of saying it starts at what is usual so. */
function AmountFields({
  amount,
  usual,
  change,
  error,
}: {
  amount: Api['Amount'] | undefined;
  usual: Api['Amount'][];
  change: (next: Api['Amount']) => void;
  error: string | undefined;
}) {
  const kind = amount?.kind ?? 'pieces';
  return (
    <div>
      <NumberInput
        label="Each student cuts"
        min={1}
        max={MOST[kind]}
        disabled={!amount}
        value={amount?.count ?? ''}
        onChange={(value) => change({ kind, count: Math.max(0, Math.min(65535, Math.round(Number(value)))) })}
        error={error}
      />
      <SegmentedControl
        fullWidth
        mt={6}
        aria-label="Amount in"
        disabled={!amount}
        value={kind}
        onChange={(next) => {
          const start = usual.find((each) => each.kind === next);
          if (start) change(start);
        }}
        data={[
          { value: 'pieces', label: 'pieces' },
          { value: 'units', label: 'whole foods' },
          { value: 'grams', label: 'grams' },
        ]}
      />
    </div>
  );
}

interface SetupProps {
  advice: Api['Advice'];
  choice: Choice;
  change: (next: Partial<Choice>) => void;
  at: (pointer: string) => string | undefined;
}

function Setup({ advice, choice, change, at }: SetupProps) {
  const [unit] = useUnit();
  const [choiceKey, setChoiceKey] = useState<string>();
  const { setup } = advice;
  const knifeKey = (knife: Api['KnifeChoice']) =>
    `${knife.knife_type}/${knife.length}/${knife.sharp ? '' : knife.numbers.join()}`;
  const proposed =
    advice.knife === null || advice.knife === undefined ? undefined : advice.knives[advice.knife];
  const tint = useTint(choice.food);
  // A choice shows at once; its reasons follow with the answer.
  const chosen = advice.knives.find((k) => knifeKey(k) === choiceKey) ?? proposed;
  return (
    <div className="stack">
      <div className="row" style={{ alignItems: 'flex-start', gap: 18 }}>
        {advice.section && (
          <Section drawing={advice.section} size={110} tint={tint} label={`Section of ${choice.food}`} />
        )}
        <div>
          <h2>
            {advice.title}{' '}
            <span className="mono quiet" style={{ fontWeight: 400 }}>
              {sizeIn(advice.target, unit)}
            </span>
          </h2>
          {advice.silhouette && setup && (
            <Knife silhouette={advice.silhouette} scale={0.8} third={setup.third} label={setup.knife_name} />
          )}
        </div>
      </div>
      {!advice.taught && (
        <p className="row">
          <Mark kind="caution" /> Possible, and not what it is taught on.
        </p>
      )}
      <Figures figures={advice.figures} />
      <Options
        legend="Knife"
        error={at('/knife_type')}
        value={chosen ? knifeKey(chosen) : undefined}
        options={advice.knives.map((k) => ({
          value: knifeKey(k),
          name: k.sharp
            ? `${k.name}${k.numbers.length > 1 ? ` ×${k.numbers.length}` : ''}`
            : `${k.name}, no. ${k.numbers.join(', ')}`,
          fit: k.fit,
          disabled: !k.sharp,
        }))}
        onChange={(value) => {
          setChoiceKey(value);
          const knife = advice.knives.find((k) => knifeKey(k) === value);
          if (knife) change({ ...open, knife_type: knife.knife_type, knife_length: knife.length });
        }}
      />
      {setup && (
        <>
          <Options
            legend="Motion"
            error={at('/motion')}
            value={choice.motion ?? setup.motion}
            options={advice.motions}
            onChange={(motion) => change({ motion, ...keepKnife(setup) })}
          />
          <Options
            legend="Knife-hand grip"
            error={at('/grip')}
            value={choice.grip ?? setup.grip}
            options={advice.grips}
            onChange={(grip) => change({ grip, ...keepKnife(setup) })}
          />
          <Options
            legend="Guide-hand hold"
            error={at('/hold')}
            value={choice.hold ?? setup.hold}
            options={advice.holds}
            onChange={(hold) => change({ hold, ...keepKnife(setup) })}
          />
          <Options
            legend="Part of the blade"
            error={at('/third')}
            value={choice.third ?? setup.third}
            options={advice.thirds}
            onChange={(third) => change({ third, ...keepKnife(setup) })}
          />
        </>
      )}
    </div>
  );
}

/** A choice of grip, hold or motion is about the knife that is shown: it stays. */
const keepKnife = (setup: Api['ChosenSetup']) => ({
  knife_type: setup.knife_type,
  knife_length: setup.knife_length,
});
