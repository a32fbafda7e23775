// Made by bin/schemas.mjs while the front end is built: how the module with the check of each answer is loaded.
declare module 'virtual:answer-checks' {
    type Check = {
        (answer: unknown): boolean;
        errors?: { instancePath: string; keyword: string }[] | null;
    };
    type Name = keyof import('./answers').Answers;
    const checks: Record<Name, () => Promise<{ default: Partial<Record<Name, Check>> }>>;
    export default checks;
}
