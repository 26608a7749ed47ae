/** Path of the browser that drives the pages; `npm test` names the one it found. */
export const CHROMIUM = process.env['CHROMIUM'] ?? '/usr/bin/chromium-headless-shell';
