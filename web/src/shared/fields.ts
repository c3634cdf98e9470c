import { useForm } from '@mantine/form';
import type { UseFormReturnType } from '@mantine/form';
import { useState } from 'react';
import { ApiProblem } from '../api/client';

export type FieldsForm<Fields> = UseFormReturnType<Fields>;

/**
 * A form over the fields of a record. What is told of a refusal stands at its fields until they are changed;
 * what is told of no field is the trouble.
 */
export function useFields<Fields extends Record<string, unknown>>(
  initialValues: Fields,
  /** Fields that show what is told of them by themselves. */
  beside: string[] = [],
  /** Where the record stands in what is sent; none where it is all of it. */
  under = '',
) {
  const form = useForm<Fields>({ initialValues });
  const [trouble, setTrouble] = useState<unknown>();
  const names = Object.keys(initialValues);
  const onError = (error: unknown) => {
    const at = (name: string) => (error instanceof ApiProblem ? error.at(`${under}/${name}`) : undefined);
    const refused = names.filter((name) => at(name) !== undefined);
    const within = error instanceof ApiProblem ? error.document.problems.map(({ pointer }) => pointer) : [];
    const paths = within
      .filter((pointer) => pointer.startsWith(`${under}/`))
      .map((pointer) => pointer.slice(under.length + 1));
    form.setErrors(
      Object.fromEntries([...refused, ...paths].map((path) => [path.replaceAll('/', '.'), at(path)])),
    );
    // In a long form the field may be out of sight.
    if (refused[0]) form.getInputNode(refused[0])?.focus();
    const placed =
      error instanceof ApiProblem &&
      error.document.problems.length > 0 &&
      error.document.problems.every(
        ({ pointer }) =>
          pointer.startsWith(`${under}/`) &&
          [...names, ...beside].includes(pointer.slice(under.length).split('/')[1] ?? ''),
      );
    setTrouble(placed ? undefined : error);
  };
  const onSuccess = () => setTrouble(undefined);
  /** Handed to the change that is made of the fields. */
  return { form, trouble, told: { onError, onSuccess } };
}

/** What was typed where a count is wanted. */
export const whole = (typed: number | string) => Math.max(0, Math.min(65535, Math.round(Number(typed))));

/** What was typed where a number may be left out. */
export const orNull = (typed: number | string) => (typed === '' ? null : Number(typed));
