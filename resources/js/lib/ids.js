const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
let last = 0;

/** A ULID: 48 bits of time, 80 of chance; later ones of this page sort after earlier ones. */
export function newId() {
    last = Math.max(Date.now(), last + 1);
    let time = last;
    let head = '';
    for (let i = 0; i < 10; i++) {
        head = DIGITS[time % 32] + head;
        time = Math.floor(time / 32);
    }
    return head + Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => DIGITS[byte % 32]).join('');
}
