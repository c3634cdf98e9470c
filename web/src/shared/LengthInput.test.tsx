// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { shown } from '../test/shown';
import { LengthInput } from './LengthInput';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

function Field({ first, onLength }: { first: number | null; onLength: (mm: number | null) => void }) {
  const [value, setValue] = useState(first);
  const change = (mm: number | null) => {
    setValue(mm);
    onLength(mm);
  };
  return <LengthInput label="Blade length" value={value} onChange={change} />;
}

const field = () => screen.getByRole<HTMLInputElement>('textbox');

describe('a length', () => {
  it('is typed in millimetres, with a point or a comma', async () => {
    const onLength = vi.fn<(mm: number | null) => void>();
    shown(<Field first={200} onLength={onLength} />);
    expect(screen.getByLabelText('Blade length, mm')).toBe(field());
    await userEvent.clear(field());
    await userEvent.type(field(), '3,25');
    expect(onLength).toHaveBeenLastCalledWith(3.25);
    await userEvent.tab();
    expect(field().value).toBe('3.25');
  });

  it('is typed in inches where inches are shown, and stays as typed until it is left', async () => {
    localStorage.setItem('yard-notch-unit', '"in"');
    const onLength = vi.fn<(mm: number | null) => void>();
    shown(<Field first={25.4} onLength={onLength} />);
    expect(field().value).toBe('1');
    await userEvent.clear(field());
    await userEvent.type(field(), '1/');
    expect(screen.getByText(/is no length: write 1\/8/)).toBeTruthy();
    await userEvent.type(field(), '8');
    expect(onLength).toHaveBeenLastCalledWith(3.175);
    expect(screen.queryByText(/is no length/)).toBeNull();
    await userEvent.tab();
    expect(field().value).toBe('1/8');
  });

  it('that is emptied is no length, and what is no length changes nothing', async () => {
    const onLength = vi.fn<(mm: number | null) => void>();
    shown(<Field first={200} onLength={onLength} />);
    await userEvent.clear(field());
    expect(onLength).toHaveBeenLastCalledWith(null);
    onLength.mockClear();
    await userEvent.type(field(), 'long');
    expect(onLength).not.toHaveBeenCalled();
    await userEvent.tab();
    expect(field().value).toBe('long');
    expect(screen.getByText('“long” is no length: write 3.2')).toBeTruthy();
  });
});
