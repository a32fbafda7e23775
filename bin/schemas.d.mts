import type { Plugin } from 'vite';

export function types(): Promise<string>;
export function checks(): string;
export function answerChecks(): Plugin;
