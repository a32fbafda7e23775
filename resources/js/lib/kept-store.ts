// Where what a person did is kept on this device until the server has it: IndexedDB, one record each, in the order they
// were made. Where there is no such store they last as long as the page, and the page says so.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

type Kept = {
    id: string;
    /** Where it stands in the queue; given by the store. */
    place?: number;
};

interface Shape<T> extends DBSchema {
    entries: { key: number; value: T; indexes: { id: string } };
}

export interface Store<T extends Kept> {
    /** False where nothing outlives the page. */
    readonly lasts: boolean;
    all(): Promise<T[]>;
    add(entry: T): Promise<void>;
    change(entry: T): Promise<void>;
    remove(ids: string[]): Promise<void>;
}

/** `isOne` tells what is found there from whatever else may stand in a browser's store. */
export async function openStore<T extends Kept>(
    name: string,
    isOne: (found: unknown) => found is T,
): Promise<Store<T>> {
    try {
        const db = await openDB<Shape<T>>(name, 1, {
            upgrade(db) {
                const entries = db.createObjectStore('entries', { keyPath: 'place', autoIncrement: true });
                entries.createIndex('id', 'id', { unique: true });
            },
            // Another tab has a newer page open; this one lets go and is told so by its next write.
            blocking: (_old, _new, event) => (event.target as IDBDatabase).close(),
        });
        return new LastingStore(db, isOne);
    } catch {
        return new PassingStore();
    }
}

class LastingStore<T extends Kept> implements Store<T> {
    readonly lasts = true;

    constructor(
        private readonly db: IDBPDatabase<Shape<T>>,
        private readonly isOne: (found: unknown) => found is T,
    ) {}

    async all(): Promise<T[]> {
        return ((await this.db.getAll('entries')) as unknown[]).filter(this.isOne);
    }

    async add(entry: T): Promise<void> {
        const rest = { ...entry };
        delete rest.place;
        // Strict: on the disk before anything is said to be kept.
        const write = this.db.transaction('entries', 'readwrite', { durability: 'strict' });
        await Promise.all([write.store.add(rest), write.done]);
    }

    async change(entry: T): Promise<void> {
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

class PassingStore<T extends Kept> implements Store<T> {
    readonly lasts = false;
    #entries: T[] = [];

    all(): Promise<T[]> {
        return Promise.resolve([...this.#entries]);
    }

    add(entry: T): Promise<void> {
        this.#entries.push(entry);
        return Promise.resolve();
    }

    change(entry: T): Promise<void> {
        this.#entries = this.#entries.map((one) => (one.id === entry.id ? entry : one));
        return Promise.resolve();
    }

    remove(ids: string[]): Promise<void> {
        this.#entries = this.#entries.filter((one) => !ids.includes(one.id));
        return Promise.resolve();
    }
}
