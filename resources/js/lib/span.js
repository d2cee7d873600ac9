/** Minutes and seconds, as a clock shows them. @param {number} seconds */
export const minutes = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
