/** As much of a browser as what keeps and sends changes needs: its own storage, its events, and a server that answers as a test says. */
export function browser() {
    const kept = new Map();
    const storage = {
        getItem: (key) => kept.get(key) ?? null,
        setItem: (key, value) => kept.set(key, String(value)),
        removeItem: (key) => kept.delete(key),
    };
    globalThis.localStorage = new Proxy(storage, {
        ownKeys: () => [...kept.keys()],
        getOwnPropertyDescriptor: (_, key) => ({ value: kept.get(key), enumerable: true, configurable: true }),
        get: (of, key) => of[key] ?? kept.get(key),
    });
    const ofTab = new Map();
    globalThis.sessionStorage = { getItem: (key) => ofTab.get(key) ?? null, setItem: (key, value) => ofTab.set(key, String(value)) };
    globalThis.addEventListener = () => {};
    globalThis.document = { querySelector: () => null, addEventListener: () => {}, hidden: false };
    Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
    const requests = [];
    const server = { answer: async () => ({ status: 200, body: {} }), requests, kept };
    globalThis.fetch = async (address, { method, body }) => {
        const request = { method, address, body: body ? JSON.parse(body) : null };
        requests.push(request);
        const { status, body: said } = await server.answer(request);
        if (status === 0) {
            throw new TypeError('not reached');
        }
        return { status, ok: status < 400, json: async () => said };
    };
    return server;
}
