const FORMAT = new Intl.DateTimeFormat('en', {
    day: '2-digit',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hour12: false,
});

/** A moment as lists say it, of what the server gives as a text. */
export const when = (at: string): string => FORMAT.format(new Date(at));
