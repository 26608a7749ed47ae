import swc from '@swc/jest';

/**
 * What modules look up most, of what no test replaces. A module of a test runs in a context of its
 * own, where each look at a global is slow; a constant of the module halves the time of the core.
 */
const GLOBALS = [
  'Array',
  'Float32Array',
  'Float64Array',
  'Int32Array',
  'Map',
  'Math',
  'Number',
  'Object',
  'Set',
  'String',
  'Uint8Array',
];

/** On the first line, so that faults keep their line. */
function withConstants({ code, ...rest }) {
  const used = GLOBALS.filter((name) => new RegExp(`\\b${name}\\b`).test(code));
  if (used.length === 0) return { code, ...rest };
  return { code: `const { ${used.join(', ')} } = globalThis; ${code}`, ...rest };
}

/** SWC for Jest, with globals as constants. */
export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (...args) => withConstants(inner.process(...args)),
      processAsync: async (...args) => withConstants(await inner.processAsync(...args)),
      getCacheKey: (...args) => `${inner.getCacheKey(...args)}-${GLOBALS.join()}`,
    };
  },
};
