// Photos at the steps of a job: made small on the device before they are sent.
import type { Photos } from './answers';
import { said, send } from './http';

const MOST_EDGE = 1600;
const QUALITY = 0.85;

/** Smaller, where the browser can; what it cannot open is sent as it is, and the server says what it thinks of it. */
async function small(file: File): Promise<Blob> {
    try {
        const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
        const share = Math.min(1, MOST_EDGE / Math.max(image.width, image.height));
        const canvas = new OffscreenCanvas(
            Math.max(1, Math.round(image.width * share)),
            Math.max(1, Math.round(image.height * share)),
        );
        canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
        return await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    } catch {
        return file;
    }
}

export async function sendPhoto(job: number, step: string, file: File): Promise<Photos | string> {
    const form = new FormData();
    form.append('file', await small(file), 'photo.jpg');
    form.append('step', step);
    const reply = await send('POST', `/jobs/${job}/photos`, 'Photos', form);
    return reply.ok ? reply.data : said(reply);
}
