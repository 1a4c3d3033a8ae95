import { readdirSync } from 'node:fs'
import tseslint from 'typescript-eslint'
import importX from 'eslint-plugin-import-x'
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript'
import i18next from 'eslint-plugin-i18next'
import reactHooks from 'eslint-plugin-react-hooks'

/**
 * The folders of src from the ground up, each with those of the earlier ones that it may use. A folder that is not here may be used
 * by none and use none.
 */
const folders = {
  catalogue: [],
  core: ['catalogue'],
  'clock.ts': [],
  'access-control': ['core'],
  contracts: ['catalogue', 'core', 'access-control'],
  i18n: ['catalogue', 'core', 'clock.ts', 'contracts'],
  offline: [],
  workers: ['core', 'contracts'],
  pool: ['core', 'contracts', 'i18n'],
  data: ['core', 'clock.ts', 'access-control', 'contracts', 'i18n'],
  services: ['core', 'clock.ts', 'access-control', 'contracts', 'i18n', 'pool', 'data'],
  ui: ['catalogue', 'core', 'clock.ts', 'access-control', 'contracts', 'i18n', 'offline', 'workers'],
  demo: ['core', 'clock.ts', 'contracts', 'data', 'services'],
  cli: ['core', 'contracts', 'i18n'],
  'data-commands': ['core', 'clock.ts', 'contracts', 'i18n', 'pool', 'data', 'services'],
  app: ['core', 'clock.ts', 'access-control', 'contracts', 'i18n', 'pool', 'services', 'ui'],
  'proxy.ts': ['access-control', 'app'],
  'instrumentation.ts': ['services'],
}

const unlisted = readdirSync('src').filter((name) => !(name in folders))
const order = Object.keys(folders)
const backward = order.filter((name) =>
  folders[name].some((used) => order.indexOf(used) >= order.indexOf(name)),
)
if (unlisted.length > 0 || backward.length > 0)
  throw new Error(
    `The order of the folders in eslint.config.mjs leaves out ${unlisted}, or is broken at ${backward}.`,
  )

const isFile = (name) => name.endsWith('.ts')
const zones = order.map((name) => ({
  target: isFile(name) ? `./src/${name}` : `./src/${name}/**/!(*.test|test[A-Z]*).{ts,tsx}`,
  from: order
    .filter((other) => other !== name && !folders[name].includes(other))
    .map((other) => `./src/${other}`),
  message: `src/${name} must not use this; see the order of the folders in eslint.config.mjs.`,
}))

/** Folders that are come into through their index alone. */
const entrances = ['core/due', 'core/forecast', 'core/forecaster', 'services/due', 'services/forecast'].map(
  (path) => {
    const [layer, room] = path.split('/')
    return {
      target: [`./src/!(${layer})/**/!(*.test).{ts,tsx}`, `./src/${layer}/!(${room})/**/!(*.test).{ts,tsx}`],
      from: `./src/${path}`,
      except: ['index.ts'],
      message: `Import @/${path}, its one entrance.`,
    }
  },
)

/** Routes know the rooms of the services, not what is in them. */
const roomsOfServices = readdirSync('src/services', { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map(({ name }) => ({
    target: ['./src/app/**/*.{ts,tsx}', './src/*.ts'],
    from: `./src/services/${name}`,
    except: ['index.ts'],
    message: `Import @/services/${name}, the entrance of the room.`,
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
  ['forecast'],
  ['due'],
  ['forecaster'],
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
        {
          zones: [...zones, ...entrances, ...roomsOfServices, ...coreZones, ...sequenceZones].filter(
            ({ from }) => from.length > 0,
          ),
        },
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
              regex: '^(?!@/core/|\\.|ml-matrix$|fast-deep-equal/)',
              message: 'The core imports nothing but itself, ml-matrix and fast-deep-equal.',
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
            { regex: '^@/catalogue/', message: 'Only the types of the catalogue.', allowTypeImports: true },
            {
              regex: '^(?!@/core/|@/catalogue/|\\.)',
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
