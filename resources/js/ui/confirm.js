/**
 * A question with two answers.
 * @param {string} title
 * @param {string} text
 * @param {string} yes what the one that does it is called
 * @returns {Promise<boolean>}
 */
export function confirm(title, text, yes) {
    const dialog = document.getElementById('question');
    dialog.querySelector('h2').textContent = title;
    dialog.querySelector('p').textContent = text;
    const button = dialog.querySelector('.primary');
    button.textContent = yes;
    return new Promise((resolve) => {
        button.onclick = () => dialog.close('yes');
        dialog.onclose = () => {
            resolve(dialog.returnValue === 'yes');
            dialog.returnValue = '';
        };
        dialog.showModal();
        button.focus();
    });
}
