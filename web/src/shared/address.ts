import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';

type Change = Record<string, string | number | null>;

function changed(search: string, next: Change): string {
  const after = new URLSearchParams(search);
  for (const [key, value] of Object.entries(next)) {
    if (value === null || value === '') after.delete(key);
    else after.set(key, String(value));
  }
  return after.toString();
}

/**
 * Changes words of the address. They are laid over the address as it stands at that moment, not as it
 * was when the page was last drawn: keys pressed faster than the page is drawn do not undo each other.
 */
export function useChangeAddress() {
  const navigate = useNavigate();
  return useCallback(
    (next: Change) => void navigate(`?${changed(window.location.search, next)}`, { replace: true }),
    [navigate],
  );
}

/** A browser takes only so many new addresses in a stretch of seconds. */
const PAUSE_MS = 150;

/**
 * The address as the state of a view whose figures are dragged: changes are seen at once, and written
 * to the address when the hand rests.
 */
export function useAddress() {
  const { search } = useLocation();
  const navigate = useNavigate();
  const [draft, setDraft] = useState(search);
  const latest = useRef(search);
  const waiting = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** Addresses that were written here and are not drawn yet: on a slow machine they come back late. */
  const onTheWay = useRef<string[]>([]);
  useEffect(() => {
    const own = onTheWay.current.indexOf(search);
    if (own >= 0) {
      onTheWay.current = search === latest.current ? [] : onTheWay.current.slice(own + 1);
      return;
    }
    // Someone else changed the address: a link, the back button.
    if (waiting.current === undefined && latest.current !== search) {
      latest.current = search;
      setDraft(search);
    }
  }, [search]);
  const write = useCallback(() => {
    clearTimeout(waiting.current);
    waiting.current = undefined;
    if (window.location.search === latest.current) return;
    onTheWay.current.push(latest.current);
    void navigate(latest.current || '?', { replace: true });
  }, [navigate]);
  useEffect(() => () => clearTimeout(waiting.current), []);
  const change = useCallback(
    (next: Change) => {
      latest.current = `?${changed(latest.current, next)}`;
      setDraft(latest.current);
      clearTimeout(waiting.current);
      waiting.current = setTimeout(write, PAUSE_MS);
    },
    [write],
  );
  const current = useCallback(() => latest.current, []);
  return useMemo(() => {
    const asked = new URLSearchParams(draft);
    const optional = (key: string) => {
      const found = asked.get(key);
      return found === null || found === '' || !Number.isFinite(Number(found)) ? null : Number(found);
    };
    return {
      search: draft,
      word: (key: string, usual: string) => asked.get(key) ?? usual,
      number: (key: string, usual: number) => optional(key) ?? usual,
      optional,
      /** Lays changes over it; always the same function. */
      change,
      /** As it stands now, for what is done later; always the same function. */
      current,
    };
  }, [draft, change, current]);
}
