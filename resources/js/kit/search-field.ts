export type ChoiceOf = { id: string; name: string; note: string };
export type ChoiceGroup = { name: string; choices: ChoiceOf[] };

/** The groups with only those choices that have every word that was typed, in any order; without the empty ones. */
export function matching(groups: ChoiceGroup[], typed: string): ChoiceGroup[] {
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    return groups
        .map((group) => ({
            ...group,
            choices: group.choices.filter((one) =>
                words.every((word) => `${one.name} ${one.id}`.toLowerCase().includes(word)),
            ),
        }))
        .filter((group) => group.choices.length > 0);
}
