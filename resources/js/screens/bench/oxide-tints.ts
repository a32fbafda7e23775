/** Heat tints as they look on bright stainless in daylight, mixed by eye; a screen only comes near them. */
export const OXIDE_TINTS: Record<string, string> = {
    silver: '#c9ced1',
    'pale-straw': '#ddd6b4',
    straw: '#d8c27a',
    gold: '#c99a3b',
    bronze: '#9c6a35',
    purple: '#6d4374',
    blue: '#3a5c96',
    grey: '#6f777b',
    brown: '#4b3a2e',
    black: '#17150f',
};
