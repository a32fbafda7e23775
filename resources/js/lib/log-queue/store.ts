// Where entries are kept on this device until the server has them: IndexedDB, one record an entry, in the order they
// were made. Where there is no such store they last as long as the page, and the page says so.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { isKept, type Kept } from './kept';

interface Shape extends DBSchema {
    entries: { key: number; value: Kept; indexes: { id: string } };
}

export interface Store {
    /** False where nothing outlives the page. */
    readonly lasts: boolean;
    all(): Promise<Kept[]>;
    add(entry: Kept): Promise<void>;
    change(entry: Kept): Promise<void>;
    remove(ids: string[]): Promise<void>;
}

export async function openStore(name = 'bead-log'): Promise<Store> {
    try {
        const db = await openDB<Shape>(name, 1, {
            upgrade(db) {
                const entries = db.createObjectStore('entries', { keyPath: 'place', autoIncrement: true });
                entries.createIndex('id', 'id', { unique: true });
            },
            // Another tab has a newer page open; this one lets go and is told so by its next write.
            blocking: (_old, _new, event) => (event.target as IDBDatabase).close(),
        });
        return new LastingStore(db);
    } catch {
        return new PassingStore();
    }
}

class LastingStore implements Store {
    readonly lasts = true;

    constructor(private readonly db: IDBPDatabase<Shape>) {}

    async all(): Promise<Kept[]> {
        return ((await this.db.getAll('entries')) as unknown[]).filter(isKept);
    }

    async add(entry: Kept): Promise<void> {
        const rest = { ...entry };
        delete rest.place;
        // Strict: on the disk before anything is said to be kept.
        const write = this.db.transaction('entries', 'readwrite', { durability: 'strict' });
        await Promise.all([write.store.add(rest), write.done]);
    }

    async change(entry: Kept): Promise<void> {
        const write = this.db.transaction('entries', 'readwrite', { durability: 'strict' });
        const place = await write.store.index('id').getKey(entry.id);
        // Another tab may have sent or discarded it meanwhile.
        if (place !== undefined) await write.store.put({ ...entry, place });
        await write.done;
    }

    async remove(ids: string[]): Promise<void> {
        const write = this.db.transaction('entries', 'readwrite');
        for (const id of ids) {
            const place = await write.store.index('id').getKey(id);
            if (place !== undefined) await write.store.delete(place);
        }
        await write.done;
    }
}

class PassingStore implements Store {
    readonly lasts = false;
    #entries: Kept[] = [];

    all(): Promise<Kept[]> {
        return Promise.resolve([...this.#entries]);
    }

    add(entry: Kept): Promise<void> {
        this.#entries.push(entry);
        return Promise.resolve();
    }

    change(entry: Kept): Promise<void> {
        this.#entries = this.#entries.map((one) => (one.id === entry.id ? entry : one));
        return Promise.resolve();
    }

    remove(ids: string[]): Promise<void> {
        this.#entries = this.#entries.filter((one) => !ids.includes(one.id));
        return Promise.resolve();
    }
}
