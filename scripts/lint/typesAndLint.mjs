import { ESLint } from 'eslint';
import ts from 'typescript';
import { main, Stop } from '../lib/run.mjs';
import { ROOT } from '../lib/setup.mjs';

/** Prints what the compiler finds wrong; returns how much that is. */
function reportTypes(program) {
  const found = ts.getPreEmitDiagnostics(program);
  const host = {
    getCurrentDirectory: () => ROOT,
    getCanonicalFileName: (name) => name,
    getNewLine: () => '\n',
  };
  if (found.length > 0) console.error(ts.formatDiagnostics(found, host));
  return found.length;
}

/** The compiler and the linter over one program: types are worked out once, in two thirds of the time. */
main(async () => {
  const { config } = ts.readConfigFile('tsconfig.json', ts.sys.readFile);
  const { fileNames, options } = ts.parseJsonConfigFileContent(config, ts.sys, ROOT);
  const program = ts.createProgram(fileNames, options);
  const wrong = reportTypes(program);
  const eslint = new ESLint({
    cwd: ROOT,
    overrideConfig: {
      files: ['**/*.{ts,tsx}'],
      languageOptions: { parserOptions: { programs: [program], project: null } },
    },
  });
  const results = await eslint.lintFiles(['.']);
  const { format } = await eslint.loadFormatter('stylish');
  const text = await format(results);
  if (text !== '') console.error(text);
  const errors = results.reduce((sum, { errorCount }) => sum + errorCount, 0);
  if (wrong + errors > 0) throw new Stop(`${wrong} errors of types, ${errors} of the linter.`);
});
