import type { Api } from '../../api/client';
import { useAdvice } from '../../api/queries';

/** A cell of the matrix with everything that it stands for. */
export interface Selection {
  courseId: number;
  food: string;
  foodName: string;
  source: Api['KnifeSource'];
  student: number | null;
  /** Hands are drawn for the left hand. */
  left: boolean;
  cut: Api['MatrixRow'];
  knife: Api['MatrixKnife'];
  cell: Api['MatrixCell'] | undefined;
}

/** The whole answer for a cell: setup, cautions, reasons. None while the food is any. */
export function useAnswer(selection: Selection, knife: Api['MatrixKnife']) {
  const { food, cut, source, student, courseId } = selection;
  return useAdvice(
    courseId,
    food === 'any'
      ? undefined
      : {
          food,
          cut: cut.cut,
          knife_type: knife.knife_type,
          knife_length: knife.length,
          knives: source,
          student,
        },
  );
}

/** Findings of a whole setup, each told once. */
export function findingsOf(advice: Api['Advice']): Api['Finding'][] {
  const { setup } = advice;
  if (!setup) return [];
  const of = <T>(choices: { value: T; fit: Api['Fit'] }[], value: T) =>
    choices.find((choice) => choice.value === value)?.fit.findings ?? [];
  const knife = advice.knives[advice.knife ?? -1];
  const all = [
    ...(knife?.fit.findings ?? []),
    ...of(advice.grips, setup.grip),
    ...of(advice.holds, setup.hold),
    ...of(advice.thirds, setup.third),
  ];
  return all.filter((finding, index) => all.findIndex((other) => other.rule === finding.rule) === index);
}
