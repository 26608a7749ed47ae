/** Where the browser's tests keep the session that they all begin with; a run makes it anew. */
export const SESSION_FILE = 'node_modules/.tmp/e2e-session.json';
