/*
 * Documents drawn from the published schemas, and demo documents with one fault, each with what the schema says of it: a line of JSON each.
 * usage: node tests/Fuzz/documents.mjs SEED COUNT
 */
import { readFileSync, readdirSync } from 'node:fs';
import Ajv from 'ajv/dist/2020.js';

const [seed, count] = process.argv.slice(2).map(Number);
const root = new URL('../../', import.meta.url);
const read = (path) => JSON.parse(readFileSync(new URL(path, root), 'utf8'));

/* mulberry32, a public-domain generator of 32 bits: the same seed draws the same documents on every machine. */
let state = seed >>> 0;
const random = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};
const chance = (share) => random() < share;
const below = (n) => Math.floor(random() * n);
const pick = (list) => list[below(list.length)];

const schemas = { plan: read('schema/plan.schema.json'), wish: read('schema/wish.schema.json') };
const ajv = new Ajv({ strict: true, allowUnionTypes: true, strictRequired: false, allErrors: false });
const validate = Object.fromEntries(Object.entries(schemas).map(([kind, schema]) => [kind, ajv.compile(schema)]));
const demos = {
    plan: readdirSync(new URL('demo/', root)).filter((name) => name.endsWith('.plan.json')).map((name) => read(`demo/${name}`)),
    wish: [
        { format: 'olvek.wish', version: 1, vessel: { shape: 'glass-box', length: 0.6, width: 0.3, height: 0.36, glass: 0.006 } },
        {
            format: 'olvek.wish', version: 1, name: 'A wish', hasVessel: true, cleaners: false, taste: null, method: null,
            vessel: { shape: 'cylinder', diameter: 0.25, height: 0.5, wall: 0.004 },
            light: 'none', water: { kind: 'tap-middling' }, animals: [{ kind: 'neocaridina-davidi', count: 10 }], plants: { wanted: [], unwanted: [] },
        },
    ],
};

let ids = 0;
/** Anything that a part of a schema allows. */
function draw(part, whole) {
    if (part.$ref) {
        return draw(whole.$defs[part.$ref.split('/').pop()], whole);
    }
    if ('const' in part) {
        return part.const;
    }
    if (part.enum) {
        return pick(part.enum);
    }
    const either = part.oneOf ?? part.anyOf;
    if (either) {
        const { oneOf, anyOf, ...rest } = part;
        return draw({ ...rest, ...pick(either) }, whole);
    }
    const type = Array.isArray(part.type) ? pick(part.type) : part.type;
    switch (type) {
        case 'null': return null;
        case 'boolean': return chance(0.5);
        case 'integer':
        case 'number': {
            const least = part.minimum ?? (part.exclusiveMinimum ?? 0) + 0.001;
            const most = part.maximum ?? 10;
            const value = chance(0.1) ? least : chance(0.1) ? most : least + random() ** 2 * (most - least);
            return type === 'integer' ? Math.min(most, Math.max(least, Math.round(value))) : Number(value.toPrecision(6)) > most ? most : Number(value.toPrecision(6)) < least ? least : Number(value.toPrecision(6));
        }
        case 'string': return part.pattern ? `d${ids += 1}` : pick(['Name', 'Ä name', 'x'.repeat(part.maxLength ?? 5)]);
        case 'array': return Array.from({ length: Math.min(part.maxItems ?? 3, (part.minItems ?? 0) + below(4)) }, () => draw(part.items, whole));
        case 'object': {
            const required = new Set(part.required ?? []);
            return Object.fromEntries(Object.entries(part.properties ?? {})
                .filter(([name, inner]) => required.has(name) || (!inner.deprecated && chance(0.5)))
                .map(([name, inner]) => [name, draw(inner, whole)]));
        }
        default: throw new Error(`nothing is drawn of ${JSON.stringify(part).slice(0, 200)}`);
    }
}

/** All places of a document, as lists of keys. */
function places(value, path = []) {
    const here = path.length > 0 ? [path] : [];
    return value !== null && typeof value === 'object'
        ? [...here, ...Object.keys(value).flatMap((key) => places(value[key], [...path, Array.isArray(value) ? Number(key) : key]))]
        : here;
}
const parent = (document, path) => path.slice(0, -1).reduce((value, key) => value[key], document);

const FAULTS = {
    without: (holder, key) => { if (Array.isArray(holder)) { holder.splice(key, 1); } else { delete holder[key]; } },
    null: (holder, key) => { holder[key] = null; },
    text: (holder, key) => { holder[key] = 'nonsense'; },
    number: (holder, key) => { holder[key] = pick([-1, 0, 0.5, 1, 7, 40, 1e9, -1e-9]); },
    list: (holder, key) => { holder[key] = []; },
    object: (holder, key) => { holder[key] = {}; },
    truth: (holder, key) => { holder[key] = true; },
    more: (holder, key) => { holder[key] = typeof holder[key] === 'number' ? holder[key] * pick([0, 0.5, 2, 10, -1]) : holder[key]; },
    unknown: (holder) => { if (!Array.isArray(holder)) { holder.nobody = 1; } },
    twice: (holder, key) => { if (Array.isArray(holder)) { holder.push(structuredClone(holder[key])); } },
};

function document(kind) {
    const schema = schemas[kind];
    const demo = structuredClone(pick(demos[kind]));
    const way = random();
    if (way < 0.15) {
        return ['drawn', draw(schema, schema)];
    }
    if (way < 0.55) {
        // One part of a sound document drawn anew: most of these are sound too.
        const [name, part] = pick(Object.entries(schema.properties).filter(([key, inner]) => !['format', 'version'].includes(key) && !inner.deprecated));
        return [`drawn ${name}`, { ...demo, [name]: draw(part, schema) }];
    }
    const fault = pick(Object.keys(FAULTS));
    const path = pick(places(demo));
    FAULTS[fault](parent(demo, path), path.at(-1));
    return [`${fault} ${path.join('.')}`, demo];
}

for (let n = 0; n < count; n += 1) {
    const kind = n % 4 === 3 ? 'wish' : 'plan';
    const [how, made] = document(kind);
    const valid = validate[kind](made);
    process.stdout.write(`${JSON.stringify({ kind, how, valid, why: valid ? '' : ajv.errorsText(validate[kind].errors), document: made })}\n`);
}
