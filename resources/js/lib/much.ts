/** A quantity as it is said: whole where it is, else to three places at most. */
export const much = (value: number): string =>
    Number.isInteger(value) ? String(value) : String(Number(value.toFixed(3)));
