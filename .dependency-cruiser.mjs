import { foreign, layers } from './scripts/law/layers.mjs';

const oneOf = (names) => (names.length > 0 ? `(?:${names.join('|')})` : '(?!)');

/** Inside its own folder and those it may import, nowhere else of ours. */
const ours = Object.entries(layers).map(([layer, allowed]) => ({
  name: layer,
  severity: 'error',
  from: { path: `^src/${layer}/` },
  to: { path: '^src/', pathNot: `^src/${oneOf([layer, ...allowed])}/` },
}));

const packages = Object.entries(foreign).map(([layer, names]) => ({
  name: `${layer}, packages`,
  severity: 'error',
  from: { path: `^src/${layer}/` },
  to: { path: `node_modules/${oneOf(names.filter((name) => name !== 'builtin').map((name) => (name.endsWith('/') ? name : `${name}/`)))}` },
}));

const builtins = Object.entries(foreign)
  .filter(([, names]) => names.includes('builtin'))
  .map(([layer]) => ({
    name: `${layer}, Node.js`,
    severity: 'error',
    from: { path: `^src/${layer}/` },
    to: { dependencyTypes: ['core'] },
  }));

export default {
  forbidden: [...ours, ...packages, ...builtins, { name: 'no circles', severity: 'error', from: {}, to: { circular: true } }],
  options: {
    doNotFollow: { path: 'node_modules' },
    // What is imported for its type alone is imported all the same.
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.js'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
