// Made by bin/schemas.mjs while the front end is built: a checking function for every answer.
declare module 'virtual:answer-checks' {
    type Check = {
        (answer: unknown): boolean;
        errors?: { instancePath: string; keyword: string }[] | null;
    };
    const checks: Record<keyof import('./answers').Answers, Check>;
    export default checks;
}
