// Shared by what measures or tries a running ./start: people with cookies of their own, on this machine only.

export const sleep = (ms) => new Promise((done) => setTimeout(done, ms));

/** The address given, if it is one of this machine's. */
export function ownMachine(address) {
    if (!['127.0.0.1', 'localhost'].includes(new URL(address).hostname))
        throw new Error('Only this machine is asked.');
    return address;
}

/** A person of the demo shop, signed in: how they ask, and their number. */
export async function person(base, name = 'wren') {
    const cookies = new Map();
    const call = async (method, url, body) => {
        const isJson = body !== undefined && !(body instanceof FormData);
        const response = await fetch(base + url, {
            method,
            redirect: 'manual',
            signal: AbortSignal.timeout(60_000),
            headers: {
                Accept: 'application/json',
                ...(isJson ? { 'Content-Type': 'application/json' } : {}),
                Cookie: [...cookies].map(([key, value]) => `${key}=${value}`).join('; '),
                'X-XSRF-TOKEN': decodeURIComponent(cookies.get('XSRF-TOKEN') ?? ''),
            },
            ...(body === undefined ? {} : { body: isJson ? JSON.stringify(body) : body }),
        });
        for (const cookie of response.headers.getSetCookie()) {
            const [key, value] = cookie.split(';')[0].split(/=(.*)/s);
            cookies.set(key, value);
        }
        return { status: response.status, text: await response.text() };
    };
    await call('GET', '/session');
    const { status, text } = await call('POST', '/sign-in', {
        email: `${name}@tidewater.invalid`,
        password: 'upswept-demo',
    });
    if (status !== 200) throw new Error(`${name} cannot sign in: ${status}`);
    return { call, id: JSON.parse(text).person.id };
}

/** What the server told a page: which screen it is, and what it shows. */
export function pageOf(html) {
    return JSON.parse(/type="application\/json">(.*?)<\/script>/s.exec(html)[1]);
}

export function propsOf(html) {
    return pageOf(html).props;
}
