/** "Muffler", then "Muffler 2": the first that nothing else is called. */
export function freeName(kind: string, taken: string[]): string {
    for (let i = 1; ; i++) {
        const name = i === 1 ? kind : `${kind} ${i}`;
        if (!taken.includes(name)) return name;
    }
}
