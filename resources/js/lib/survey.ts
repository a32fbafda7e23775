// What the core works out for a survey before anything is saved: ready shapes, ports in a row, the other bank, meshes.
import { errorsOf, said, send, type Reply } from './http';
import { sendInTurn } from './in-turn';
import type { JobDesk } from './job-desk.svelte';
import type { Answers, ImportedMesh, KeepOutDocument, Kit, LengthText, Pasted, PointText } from './answers';

/** What a person answers to the questions of a kit. */
export type KitAnswers = Record<string, LengthText | LengthText[]>;
export type Errors = Record<string, string[]>;

export async function readKits(desk: JobDesk): Promise<Kit[]> {
    const reply = await ask(desk, 'kits', 'Kits', {});
    return reply.ok ? reply.data.kits : [];
}

/** Adds the solid that follows from the answers; gives what is wrong with them, empty if nothing. */
export async function addKit(desk: JobDesk, kind: string, answers: KitAnswers): Promise<Errors> {
    const reply = await ask(desk, 'kit', 'KitMade', { kind, answers });
    if (!reply.ok) return errorsOf(reply);
    await addKeepOut(desk, reply.data.keepOut);
    return {};
}

/** Adds the solid by the points that were touched on it; gives what is wrong, empty if nothing. */
export async function addTouched(
    desk: JobDesk,
    kind: string,
    points: (PointText | string)[],
    diameter: string,
    moves: boolean,
): Promise<Errors> {
    const reply = await ask(desk, 'touched', 'Touched', { kind, points, diameter, moves });
    if (!reply.ok) return errorsOf(reply);
    await addKeepOut(desk, ...reply.data.keepOuts);
    return {};
}

export function addKeepOut(desk: JobDesk, ...all: KeepOutDocument[]): Promise<void> {
    return desk.edit((document) => {
        document.set.keepOuts.push(...all);
    });
}

/** Ports in a row, the other bank, scrolls: takes over the document that comes back; gives what is wrong, empty if nothing. */
export async function change(
    desk: JobDesk,
    tool: 'row' | 'mirror' | 'scrolls' | 'collector' | 'flange',
    wishes: Record<string, unknown>,
): Promise<Errors> {
    const reply = await ask(desk, tool, 'Changed', wishes);
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
    const reply = await send('POST', `/jobs/${desk.view.id}/meshes`, 'ImportedMesh', form);
    return reply.ok ? reply.data : said(reply);
}

/** What pasted cells would become; changes nothing. */
export async function readPaste(desk: JobDesk, text: string): Promise<Pasted | string> {
    const reply = await send('POST', `/jobs/${desk.view.id}/paste`, 'Pasted', {
        document: desk.document,
        text,
    });
    return reply.ok ? reply.data : reply.message;
}

/** What a scan is asked for, or changed by; the document comes along. */
export function askScan<K extends 'ScanFit' | 'ScanPlaced' | 'ScanCut'>(
    desk: JobDesk,
    what: 'fit' | 'place' | 'cut',
    expects: K,
    wishes: Record<string, unknown>,
): Promise<Reply<Answers[K]>> {
    return sendInTurn('POST', `/jobs/${desk.view.id}/scan/${what}`, expects, {
        document: desk.document,
        ...wishes,
    }) as Promise<Reply<Answers[K]>>;
}

function ask<K extends keyof Answers>(
    desk: JobDesk,
    tool: string,
    expects: K,
    wishes: Record<string, unknown>,
): Promise<Reply<Answers[K]>> {
    return send('POST', `/jobs/${desk.view.id}/survey/${tool}`, expects, {
        document: desk.document,
        ...wishes,
    }) as Promise<Reply<Answers[K]>>;
}
