// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { shown } from '../test/shown';
import { Reason } from './dock';
import { Mark } from './mark';
import type { MarkKind } from './mark';
import { Failed, Trouble } from './State';
import type { Sentence } from './sentence';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const sentence: Sentence = ['Clear to ', { length: 203.2 }, '.'];

describe('what the core says', () => {
  it('is in the unit that is shown', () => {
    shown(
      <ul>
        <Reason kind="caution" title="Longer blade:" says={sentence} />
      </ul>,
    );
    expect(screen.getByRole('listitem').textContent).toBe('Longer blade: Clear to 203 mm.');
    cleanup();
    localStorage.setItem('yard-notch-unit', '"in"');
    shown(
      <ul>
        <Reason kind="caution" says={sentence} />
      </ul>,
    );
    expect(screen.getByRole('listitem').textContent).toBe('Clear to 8 in.');
  });
});

describe('a state', () => {
  it('is told by a shape of its own, named unless words stand beside it', () => {
    const kinds: MarkKind[] = ['todo', 'held', 'caution', 'stop', 'lapsed', 'note', 'watch'];
    const drawn = kinds.map((kind) => {
      const { container } = shown(<Mark kind={kind} label />);
      const svg = container.querySelector('svg');
      const shape = svg?.innerHTML;
      expect(svg?.getAttribute('aria-label')).toBeTruthy();
      cleanup();
      return shape;
    });
    expect(new Set(drawn).size).toBe(kinds.length);
    const { container } = shown(<Mark kind="stop" />);
    expect(container.querySelector('svg')?.getAttribute('aria-hidden')).toBe('true');
  });
});

describe('trouble', () => {
  it('is told at once, and what could not be read can be read again', () => {
    let times = 0;
    const { container } = shown(<Trouble error={null} />);
    expect(container.querySelector('[role=alert]')).toBeNull();
    cleanup();
    shown(<Failed error={new Error('The program does not answer.')} again={() => void (times += 1)} />);
    expect(screen.getByRole('alert').textContent).toContain('The program does not answer.');
    screen.getByRole('button', { name: 'Try again' }).click();
    expect(times).toBe(1);
  });
});
