import { openDB } from 'idb';
import type { DBSchema, IDBPDatabase } from 'idb';
import { ofSchool } from '../../shared/school';
import type { Touch } from './touch';

interface Kept extends DBSchema {
  unsent: { key: number; value: Touch; indexes: { id: string } };
}

/** Touches that the device keeps until they are sent, in their order. */
export interface Keeping {
  all: () => Promise<Touch[]>;
  keep: (touch: Touch) => Promise<void>;
  /** Whether it is still to be sent: another page of this device may have done so. */
  has: (id: string) => Promise<boolean>;
  drop: (id: string) => Promise<void>;
}

/**
 * Opens what is kept on this device.
 *
 * @throws Where the browser keeps nothing: then a touch lives as long as the page.
 */
export async function keeping(): Promise<Keeping> {
  const db: IDBPDatabase<Kept> = await openDB<Kept>(ofSchool('yard-notch-touches'), 1, {
    upgrade(fresh) {
      fresh.createObjectStore('unsent', { autoIncrement: true }).createIndex('id', 'id', { unique: true });
    },
  });
  return {
    all: () => db.getAll('unsent'),
    keep: async (touch) => void (await db.add('unsent', touch)),
    has: async (id) => (await db.countFromIndex('unsent', 'id', id)) > 0,
    drop: async (id) => {
      const key = await db.getKeyFromIndex('unsent', 'id', id);
      if (key !== undefined) await db.delete('unsent', key);
    },
  };
}
