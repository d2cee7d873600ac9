/** Fills the screen with the page, or gives it back. @param {() => unknown} whenRefused what is done where the browser does not allow it */
export function fullScreen(whenRefused = () => {}) {
    if (document.fullscreenElement) {
        document.exitFullscreen();
    } else {
        Promise.resolve(document.documentElement.requestFullscreen?.() ?? Promise.reject()).catch(whenRefused);
    }
}
