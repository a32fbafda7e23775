// What is bought, or brought by the customer, and built in: as the job's document names it, and as it is called.

export const PART_KINDS = [
    { id: 'muffler', name: 'Muffler' },
    { id: 'catalyst', name: 'Catalyst' },
    { id: 'flex', name: 'Flexible section' },
    { id: 'tip', name: 'Tip' },
    { id: 'turbine', name: 'Turbine' },
    { id: 'other', name: 'Other part' },
] as const;
