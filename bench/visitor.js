/* Someone who keeps cookies, signed in to the demo. */
const base = process.argv[2];
const jar = new Map();

export async function ask(path, options = {}) {
    const response = await fetch(new URL(path, base), {
        redirect: 'manual', ...options,
        headers: { origin: new URL(base).origin, ...options.headers, cookie: [...jar].map(([name, value]) => `${name}=${value}`).join('; ') },
    });
    for (const cookie of response.headers.getSetCookie()) {
        const [name, value] = cookie.split(';')[0].split('=');
        jar.set(name, value);
    }
    const body = Buffer.from(await response.arrayBuffer());
    return { status: response.status, location: response.headers.get('location'), type: response.headers.get('content-type') ?? '', etag: response.headers.get('etag'), body, text: body.toString() };
}

/** Asks for an answer in lines: the time until the first has come, and all of them. */
export async function askLines(path, options) {
    const from = performance.now();
    const response = await fetch(new URL(path, base), {
        ...options, headers: { origin: new URL(base).origin, ...options.headers, accept: 'application/x-ndjson', cookie: [...jar].map(([name, value]) => `${name}=${value}`).join('; ') },
    });
    const chunks = [];
    let first = 0;
    for await (const chunk of response.body) {
        chunks.push(chunk);
        first ||= chunk.includes(10) ? performance.now() - from : 0;
    }
    const body = Buffer.concat(chunks);
    return { status: response.status, body, text: body.toString(), first };
}

export const token = (html, form) => html.slice(html.indexOf(form)).match(/name="_(?:csrf_)?token" value="([^"]+)"/)[1];

/** The sign-in page and the demo's shelf behind it. */
export async function openShelf() {
    const signIn = (await ask('/sign-in')).text;
    await ask('/demo', { method: 'POST', body: new URLSearchParams({ _token: token(signIn, 'action="/demo"') }) });
    return { signIn, shelf: (await ask('/')).text };
}
