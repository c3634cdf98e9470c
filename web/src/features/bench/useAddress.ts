import { useSearchParams } from 'react-router';

/** The state of the Bench is its address: figures and words by name, written back as they change. */
export function useAddress() {
  const [search, setSearch] = useSearchParams();
  const number = (key: string, usual: number) => {
    const found = Number(search.get(key) ?? Number.NaN);
    return Number.isFinite(found) ? found : usual;
  };
  const word = (key: string, usual: string) => search.get(key) ?? usual;
  const optional = (key: string) => {
    const found = search.get(key);
    return found === null || found === '' || !Number.isFinite(Number(found)) ? null : Number(found);
  };
  const change = (next: Record<string, string | number | null>) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        for (const [key, value] of Object.entries(next)) {
          if (value === null || value === '') after.delete(key);
          else after.set(key, String(value));
        }
        return after;
      },
      { replace: true },
    );
  return { number, word, optional, change };
}
