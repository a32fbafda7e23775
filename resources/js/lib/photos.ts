// Photos as they are kept: made small on the device before they are sent.

const MOST_EDGE = 1600;
const QUALITY = 0.85;

/** Smaller, where the browser can; what it cannot open is sent as it is, and the server says what it thinks of it. */
export async function madeSmall(file: File): Promise<Blob> {
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
