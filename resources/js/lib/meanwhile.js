let presses = 0;
for (const type of ['keydown', 'pointerdown']) {
    document.addEventListener(
        type,
        () => {
            presses++;
        },
        { capture: true },
    );
}

/**
 * For what happens after an answer: the function that is returned tells whether the person has
 * pressed nothing since. Where something was pressed, the keyboard and what is marked are theirs.
 */
export function meanwhile() {
    const then = presses;
    return () => presses === then;
}
