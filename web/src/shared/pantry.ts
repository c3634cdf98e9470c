import type { Api } from '../api/client';
import { capital } from './format';

type Catalogue = Api['CatalogueView'];

/** Foods to choose from, by the shelf of the pantry, found by typing. */
export function foodChoices(
  catalogue: Catalogue | undefined,
  keep: (food: Api['Food']) => boolean = () => true,
) {
  return (catalogue?.food_groups ?? [])
    .map(({ value, name }) => ({
      group: name,
      items: (catalogue?.foods ?? [])
        .filter((food) => food.group === value && keep(food))
        .map((food) => ({ value: food.id, label: capital(food.name) })),
    }))
    .filter((shelf) => shelf.items.length > 0);
}

/** Cuts to choose from: those of the food in the order of the work, odd ones apart; all where no food is chosen. */
export function cutChoices(catalogue: Catalogue | undefined, food: string) {
  const named = (id: string) => {
    const cut = catalogue?.cuts.find((each) => each.id === id);
    return cut ? [{ value: cut.id, label: capital(cut.name) }] : [];
  };
  const found = catalogue?.foods.find((each) => each.id === food);
  if (!found) return (catalogue?.cuts ?? []).flatMap((cut) => named(cut.id));
  return [
    { group: 'Taught', items: found.taught.flatMap(named) },
    { group: 'Possible, not usual', items: (found.odd ?? []).flatMap(named) },
  ].filter((shelf) => shelf.items.length > 0);
}

/** Whether a cut is made of a food, taught or odd. */
export const isMadeOf = (food: Api['Food'], cut: string) =>
  food.taught.includes(cut) || (food.odd ?? []).includes(cut);
