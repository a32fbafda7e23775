// What the core works out for a survey before anything is saved: ready shapes, ports in a row, the other bank, meshes.
import { send, type Reply } from './http';
import type { JobDesk } from './job-desk.svelte';
import type { JobDocument, KeepOutDocument, LengthText } from './job-document';

export type KitField = {
    key: string;
    label: string;
    kind: 'length' | 'angle' | 'point' | 'direction';
    proposed: LengthText[];
};
export type Kit = { kind: string; name: string; says: string; fields: KitField[] };
export type Answers = Record<string, LengthText | LengthText[]>;
export type ImportedMesh = {
    fingerprint: string;
    triangles: number;
    isClosed: boolean;
    box: [number, number, number, number, number, number];
};
export type Errors = Record<string, string[]>;

export async function readKits(desk: JobDesk): Promise<Kit[]> {
    const reply = await ask<{ kits: Kit[] }>(desk, 'kits', {});
    return reply.ok ? reply.data.kits : [];
}

/** Adds the solid that follows from the answers; gives what is wrong with them, empty if nothing. */
export async function addKit(desk: JobDesk, kind: string, answers: Answers): Promise<Errors> {
    const reply = await ask<{ keepOut: KeepOutDocument }>(desk, 'kit', { kind, answers });
    if (!reply.ok) return errorsOf(reply);
    await addKeepOut(desk, reply.data.keepOut);
    return {};
}

export function addKeepOut(desk: JobDesk, one: KeepOutDocument): Promise<void> {
    return desk.edit((document) => {
        document.set ??= { collectors: [], keepOuts: [], lengths: [] };
        document.set.keepOuts.push(one);
    });
}

/** Ports in a row, the other bank, scrolls: takes over the document that comes back; gives what is wrong, empty if nothing. */
export async function change(
    desk: JobDesk,
    tool: 'row' | 'mirror' | 'scrolls' | 'collector',
    wishes: Record<string, unknown>,
): Promise<Errors> {
    const reply = await ask<{ document: JobDocument }>(desk, tool, wishes);
    if (!reply.ok) return errorsOf(reply);
    await desk.replace(reply.data.document);
    return {};
}

export async function importMesh(
    desk: JobDesk,
    file: File,
    unit: string,
    up: string,
): Promise<ImportedMesh | string> {
    const form = new FormData();
    form.append('file', file);
    form.append('unit', unit);
    form.append('up', up);
    const reply = await send<ImportedMesh>('POST', `/jobs/${desk.view.id}/meshes`, form);
    return reply.ok ? reply.data : (Object.values(errorsOf(reply))[0]?.[0] ?? reply.message);
}

function ask<T>(desk: JobDesk, tool: string, wishes: Record<string, unknown>): Promise<Reply<T>> {
    return send<T>('POST', `/jobs/${desk.view.id}/survey/${tool}`, { document: desk.document, ...wishes });
}

function errorsOf(reply: Exclude<Reply<unknown>, { ok: true }>): Errors {
    const errors = 'errors' in reply ? reply.errors : {};
    return Object.keys(errors).length > 0 ? errors : { '': [reply.message] };
}
