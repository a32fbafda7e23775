// What crosses the border to the front end, made from docs/schemas: the types of resources/js/lib/answers.ts, and the
// checks that every answer passes where it arrives. `node bin/schemas.mjs` writes the types anew, `--check` compares.
import Ajv from 'ajv/dist/2020.js';
import standaloneCode from 'ajv/dist/standalone/index.js';
import { compile } from 'json-schema-to-typescript';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { format, resolveConfig } from 'prettier';

const FOLDER = fileURLToPath(new URL('../docs/schemas/', import.meta.url));
const TYPES = fileURLToPath(new URL('../resources/js/lib/answers.ts', import.meta.url));
const HEAD = '// Made from docs/schemas by bin/schemas.mjs; change it there.';

/** Limits are the server's to judge; what arrives is only held to its shape. */
const LIMITS = [
    'minLength',
    'maxLength',
    'minimum',
    'maximum',
    'pattern',
    'format',
    'uniqueItems',
    'maxProperties',
];

/** All schemas as one: the definitions of every file under their names, and the answers by theirs. */
function joined() {
    const definitions = {};
    let answers = {};
    for (const file of readdirSync(FOLDER).filter((name) => name.endsWith('.schema.json'))) {
        const schema = JSON.parse(readFileSync(FOLDER + file, 'utf8'));
        if (file === 'answers.schema.json') answers = schema;
        for (const [name, one] of Object.entries(schema.$defs ?? {})) {
            if (definitions[name]) throw new Error(`Two schemas define ${name}.`);
            definitions[name] = one;
        }
    }
    const { type, required, properties, description } = answers;
    return arriving({
        $schema: answers.$schema,
        title: 'Answers',
        description,
        type,
        required,
        properties,
        $defs: definitions,
    });
}

/** A schema with every part of it changed, the innermost first. */
function changed(schema, change) {
    if (Array.isArray(schema)) return schema.map((one) => changed(one, change));
    if (typeof schema !== 'object' || schema === null) return schema;
    return change(
        Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, changed(value, change)])),
    );
}

/** A schema as the front end holds answers to it: without limits; what has a default is always written by the server. */
function arriving(schema) {
    return changed(schema, (part) => {
        // A field may be called like a limit; what it holds is a schema then.
        const one = Object.fromEntries(
            Object.entries(part).filter(
                ([key, value]) => !LIMITS.includes(key) || (typeof value === 'object' && value !== null),
            ),
        );
        if (typeof one.$ref === 'string') one.$ref = one.$ref.replace(/^[\w-]+\.schema\.json/, '');
        if (one.minItems !== one.maxItems) {
            delete one.minItems;
            delete one.maxItems;
        }
        // Which fields go together is the server's to judge too.
        if (one.anyOf?.every((choice) => Object.keys(choice).join() === 'required')) delete one.anyOf;
        if (!one.properties) return one;
        const written = Object.keys(one.properties).filter(
            (key) => one.properties[key].default !== undefined,
        );
        // What falls back on something is not left empty.
        for (const key of written)
            if (one.properties[key].default !== null) one.properties[key] = notNull(one.properties[key]);
        return { ...one, required: [...new Set([...(one.required ?? []), ...written])] };
    });
}

function notNull({ anyOf, type, ...rest }) {
    const choices = anyOf?.filter((one) => one.type !== 'null');
    if (choices?.length === 1) return { ...rest, ...choices[0] };
    const kinds = Array.isArray(type) ? type.filter((one) => one !== 'null') : type;
    return { ...rest, ...(choices ? { anyOf: choices } : {}), ...(kinds ? { type: kinds } : {}) };
}

/** The same, open to fields that are not known yet, so that a page outlives a newer server. */
function open(schema) {
    return changed(schema, ({ additionalProperties, ...rest }) =>
        additionalProperties === undefined || additionalProperties === false
            ? rest
            : { ...rest, additionalProperties },
    );
}

/** The same without remarks beside a reference, which would make a type of its own of it. */
function named(schema) {
    return changed(schema, (one) => (typeof one.$ref === 'string' ? { $ref: one.$ref } : one));
}

/** The TypeScript types of everything that is defined. */
export async function types() {
    const code = await compile(named(joined()), 'Answers', {
        bannerComment: HEAD,
        additionalProperties: false,
        unreachableDefinitions: true,
        format: false,
    });
    // Remarks of the tool's own, and what they leave empty.
    const kept = code
        .replace(
            /\n[ \t]*\*[ \t]*(?:@m..Items .*|This interface was referenced .*|via the `definition` .*)?(?=\n)/g,
            '',
        )
        .replace(/\/\*\*\s*\*\/\n/g, '');
    return format(kept, { ...(await resolveConfig(TYPES)), parser: 'typescript' });
}

/** Whether what a schema says of something reaches a whole job, through however many references. */
function holdsJob(schema, part, seen = new Set()) {
    if (Array.isArray(part)) return part.some((one) => holdsJob(schema, one, seen));
    if (typeof part !== 'object' || part === null) return false;
    const name = typeof part.$ref === 'string' ? part.$ref.replace('#/$defs/', '') : '';
    if (name === 'JobDocument' || name === 'Plan') return true;
    if (name !== '' && !seen.has(name)) {
        seen.add(name);
        if (holdsJob(schema, schema.$defs[name], seen)) return true;
    }
    return Object.values(part).some((one) => holdsJob(schema, one, seen));
}

const GROUPS = ['job', 'other'];

/**
 * The checks in two modules, as those of a whole job are some ten times as large as all others together. Compiled
 * beforehand: nothing is evaluated in the browser.
 */
function checks() {
    const schema = open(joined());
    const ajv = new Ajv({
        code: { source: true, esm: true },
        inlineRefs: false,
        messages: false,
        allowUnionTypes: true,
        unicodeRegExp: false,
    });
    ajv.addSchema(schema, 'answers');
    const all = Object.keys(schema.properties);
    const ofJob = all.filter((name) => holdsJob(schema, schema.properties[name]));
    const names = { job: ofJob, other: all.filter((name) => !ofJob.includes(name)) };
    return {
        names,
        code: (group) => {
            const refs = names[group].map((name) => [name, `answers#/properties/${name}`]);
            const code = standaloneCode(ajv, Object.fromEntries(refs));
            return `${code}\nexport default { ${names[group].join(', ')} };`;
        },
    };
}

/** Lets the front end import `virtual:answer-checks`: how the check of each answer is loaded, by its name. */
export function answerChecks() {
    const root = 'virtual:answer-checks';
    const ids = [root, ...GROUPS.map((group) => `${root}/${group}`)];
    let made = null;
    return {
        name: 'answer-checks',
        resolveId: (id) => (ids.includes(id) ? `\0${id}` : undefined),
        load: (id) => {
            if (!ids.includes(id.slice(1))) return undefined;
            made ??= checks();
            const group = id.split('/')[1];
            if (group) return made.code(group);
            const loads = GROUPS.flatMap((one) =>
                made.names[one].map((name) => `${name}: () => import('${root}/${one}')`),
            );
            return `export default { ${loads.join(', ')} };`;
        },
    };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
    const made = await types();
    if (!process.argv.includes('--check')) writeFileSync(TYPES, made);
    else if (readFileSync(TYPES, 'utf8') !== made) {
        console.error(
            'resources/js/lib/answers.ts is not what docs/schemas say; run `node bin/schemas.mjs`.',
        );
        process.exitCode = 1;
    }
}
