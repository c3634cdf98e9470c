// @vitest-environment jsdom
import { NumberInput, TextInput } from '@mantine/core';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../api/client';
import type { Api } from '../api/client';
import { shown } from '../test/shown';
import { orNull, useFields, whole } from './fields';
import { Trouble } from './State';

afterEach(cleanup);

const problem = (pointer: string, said: string): Api['Problem'] => ({
  pointer,
  name: 'x',
  value: '',
  allowed: '',
  message: said,
  sentence: [said],
});

const refusal = (...problems: Api['Problem'][]) =>
  new ApiProblem({ type: '/problems/fields', title: 'Refused', status: 422, detail: 'Refused.', problems });

type Save = (fields: { name: string; station: number }, told: { onError: (error: unknown) => void }) => void;

function Form({ save }: { save: Save }) {
  const { form, trouble, told } = useFields({ name: 'Ann', station: 1 });
  return (
    <form onSubmit={form.onSubmit((fields) => save(fields, told))}>
      <TextInput label="Name" {...form.getInputProps('name')} />
      <NumberInput
        label="Station"
        {...form.getInputProps('station')}
        onChange={(typed) => form.setFieldValue('station', whole(typed))}
      />
      <Trouble error={trouble} />
      <button type="submit">Save</button>
    </form>
  );
}

describe('a form', () => {
  it('hands over what was typed', async () => {
    const save = vi.fn<Save>();
    shown(<Form save={save} />);
    await userEvent.clear(screen.getByLabelText('Name'));
    await userEvent.type(screen.getByLabelText('Name'), 'Noor');
    await userEvent.type(screen.getByLabelText('Station'), '2');
    await userEvent.click(screen.getByRole('button'));
    expect(save.mock.calls[0]?.[0]).toEqual({ name: 'Noor', station: 12 });
  });

  it('shows a refusal at its field until that is changed, and keeps what was typed', async () => {
    shown(<Form save={(_, { onError }) => onError(refusal(problem('/name', 'Name: taken.')))} />);
    await userEvent.type(screen.getByLabelText('Name'), 'a');
    await userEvent.click(screen.getByRole('button'));
    const field = screen.getByLabelText('Name');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('Name: taken.')).toBeTruthy();
    expect(document.activeElement, 'wherever in a long form it is').toBe(field);
    expect(screen.queryByRole('alert')).toBeNull();
    expect((field as HTMLInputElement).value).toBe('Anna');
    await userEvent.type(field, 'b');
    expect(screen.queryByText('Name: taken.')).toBeNull();
  });

  it('takes a problem inside a field for one of the field', async () => {
    shown(<Form save={(_, { onError }) => onError(refusal(problem('/station/0', 'Station: too far.')))} />);
    await userEvent.click(screen.getByRole('button'));
    expect(screen.getByLabelText('Station').getAttribute('aria-invalid')).toBe('true');
  });

  it('tells what belongs to no field beside the button', async () => {
    shown(<Form save={(_, { onError }) => onError(refusal(problem('/knife', 'Knife: in use by Ivo.')))} />);
    await userEvent.click(screen.getByRole('button'));
    expect(screen.getByRole('alert').textContent).toContain('Knife: in use by Ivo.');
  });

  it('tells of an answer that did not come', async () => {
    shown(<Form save={(_, { onError }) => onError(new Error('The program does not answer.'))} />);
    await userEvent.click(screen.getByRole('button'));
    expect(screen.getByRole('alert').textContent).toContain('does not answer');
  });
});

describe('what is typed', () => {
  it('becomes a count that fits', () => {
    expect([whole(3.4), whole('7'), whole(-2), whole(1e9)]).toEqual([3, 7, 0, 65535]);
  });

  it('may be left out', () => {
    expect([orNull(''), orNull('2.5'), orNull(0)]).toEqual([null, 2.5, 0]);
  });
});
