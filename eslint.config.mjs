import tseslint from 'typescript-eslint'
import importX from 'eslint-plugin-import-x'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import i18next from 'eslint-plugin-i18next'
import reactHooks from 'eslint-plugin-react-hooks'

/** Which folders each layer may not reach into. The arrow of dependency runs app -> ui/data -> contracts -> core. */
const zones = [
  { layer: 'core', forbidden: ['contracts', 'workers', 'data', 'ui', 'app', 'cli', 'demo', 'services'] },
  { layer: 'contracts', forbidden: ['workers', 'data', 'ui', 'app', 'cli', 'demo', 'services'] },
  { layer: 'ui', forbidden: ['data', 'app', 'cli', 'demo', 'services'] },
  { layer: 'workers', forbidden: ['data', 'ui', 'app', 'cli', 'demo', 'services'] },
  { layer: 'data', forbidden: ['workers', 'ui', 'app', 'cli', 'demo', 'services'] },
  { layer: 'services', forbidden: ['workers', 'ui', 'app', 'cli', 'demo'] },
  { layer: 'demo', forbidden: ['ui', 'app', 'cli'] },
  { layer: 'data-commands', forbidden: ['ui', 'app', 'cli', 'demo', 'workers'] },
  {
    layer: 'offline',
    forbidden: ['core', 'contracts', 'workers', 'data', 'ui', 'app', 'cli', 'demo', 'services'],
  },
  {
    layer: 'forecast',
    forbidden: ['contracts', 'workers', 'data', 'ui', 'app', 'cli', 'demo', 'services', 'pool'],
  },
  { layer: 'pool', forbidden: ['data', 'ui', 'app', 'cli', 'demo', 'services'] },
  {
    layer: 'access-control',
    forbidden: ['contracts', 'workers', 'data', 'ui', 'app', 'cli', 'demo', 'services'],
  },
  { layer: 'cli', forbidden: ['data', 'ui', 'app', 'demo', 'services'] },
].map(({ layer, forbidden }) => ({
  target: `./src/${layer}`,
  from: forbidden.map((name) => `./src/${name}`),
  message: `src/${layer} must not depend on this layer; see docs/architecture.md.`,
}))

/** Folders from the ground up: each may use those before it, never one after it. */
const inOrder = (root, levels) =>
  levels.flatMap((folders, level) =>
    folders.map((folder) => ({
      target: `${root}/${folder}/**/!(*.test|test[A-Z]*).ts`,
      from: levels
        .slice(level + 1)
        .flat()
        .map((name) => `${root}/${name}`),
      message: `${root.slice(6)}/${folder} is below this; see docs/architecture.md.`,
    })),
  )

const coreZones = inOrder('./src/core', [
  ['message'],
  ['quantity', 'wheel', 'tyre', 'acts'],
  ['wheel-geometry', 'estimates', 'dilution', 'finishes', 'units'],
  ['soils', 'protection', 'tools', 'methods', 'pace'],
  ['chemistry', 'visit-kinds'],
  ['conditions', 'efficacy'],
  ['rules'],
  ['job'],
  ['plan', 'operator-time', 'reachability'],
  ['choice', 'cost'],
  ['timing'],
  ['reasons'],
  ['stages', 'steps'],
  ['cards', 'passes'],
  ['planning', 'sequence', 'run'],
  ['patterns'],
  ['order'],
  ['rescheduling'],
  ['observations'],
  ['due'],
])

/** Shelves of the search for an order. */
const sequenceZones = inOrder('./src/core/sequence', [
  ['problem'],
  ['layers', 'merging'],
  ['search'],
  ['twoPeople'],
  ['solve.ts'],
  ['explainInfeasible.ts'],
])

/** Functions in whose last digit two engines may differ: a plan has to be the same in the browser and on the server. */
const engineDependent = [
  "MemberExpression[object.name='Math'][property.name=/^(exp|expm1|log|log2|log10|log1p|pow|sin|cos|tan|asin|acos|atan|atan2|cbrt|hypot)$/]",
  "BinaryExpression[operator='**']",
].map((selector) => ({ selector, message: 'Use core/quantity/portableMath, or multiply.' }))

/** The clock is a port: a test chooses the day. */
const askTheClock = [
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Ask currentTime() of src/clock.',
  },
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Ask currentTime() of src/clock.',
  },
]

const wordsElsewhere = 'Words stand in messages/en; say them by their key.'

/** What a person reads or hears, written into a component. */
const literalWords = [
  'JSXAttribute[name.name=/^(aria-label|title|placeholder|alt|label|hint|earlier|later|doneWord)$/] > Literal[value=/[A-Za-z]{2}/]:not([value="Even Spoke"])',
  'JSXElement > JSXExpressionContainer Literal[value=/^[A-Z]?[a-z,’]+ [a-z]/]:not(JSXAttribute Literal)',
  'JSXElement > JSXExpressionContainer TemplateElement[value.raw=/[a-z,;] [a-z]{2}|^ [a-z]+$/]:not(JSXAttribute TemplateElement)',
].map((selector) => ({ selector, message: wordsElsewhere }))

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'public/sw.js',
      'node_modules/**',
      'next-env.d.ts',
      'bench/empty-app/.next/**',
      'test-results/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    plugins: { 'import-x': importX, 'react-hooks': reactHooks },
    settings: { 'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })] },
    rules: {
      ...reactHooks.configs.recommended.rules,
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'import-x/no-cycle': 'error',
      'import-x/no-restricted-paths': [
        'error',
        { zones: [...zones, ...coreZones, ...sequenceZones].filter(({ from }) => from.length > 0) },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    // The bay's clock corrects this device's own by the server's.
    ignores: ['src/**/*.test.ts', 'src/clock.ts', 'src/ui/run/useServerNow.ts'],
    rules: { 'no-restricted-syntax': ['error', ...askTheClock] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/**/test[A-Z]*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!@/core/|\\.|ml-matrix$)',
              message: 'The core imports nothing but itself, and ml-matrix.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'process',
        'fetch',
        'setTimeout',
        'setInterval',
        'console',
        'window',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core is told the time.' },
        { object: 'Math', property: 'random', message: 'The core is deterministic.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core is told the time.',
        },
        ...engineDependent,
      ],
    },
  },
  {
    // The types of the catalogue: which messages there are. Nothing of it is there when the core runs.
    files: ['src/core/message/*.ts'],
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            { regex: '^@/i18n/', message: 'Only the types of the catalogue.', allowTypeImports: true },
            {
              regex: '^(?!@/core/|@/i18n/|\\.)',
              message: 'The core imports nothing but itself, and types of the catalogue.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/ui/**/*.tsx', 'src/app/**/*.tsx'],
    plugins: { i18next },
    rules: {
      'i18next/no-literal-string': ['error', { mode: 'jsx-text-only', message: wordsElsewhere }],
      'no-restricted-syntax': ['error', ...askTheClock, ...literalWords],
    },
  },
  {
    files: ['src/contracts/**/*.ts'],
    ignores: ['src/contracts/**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...engineDependent, ...askTheClock] },
  },
  {
    files: ['src/core/quantity/portableMath.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/data/**', 'src/core/**', 'src/ui/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            { name: '@electric-sql/pglite', message: 'Only src/data touches the database engine.' },
            { name: 'next/link', message: 'src/ui/Link.tsx: no page is fetched ahead.' },
          ],
        },
      ],
    },
  },
)
