/** Imports run one way: app → stations → job → ui → core, app → server → core, workers → core; in the core each row imports what stands before it. */
const below = (from, to, comment) => ({
  name: `${from.join('-')}-not-${to.join('-')}`,
  severity: 'error',
  comment,
  from: { path: `^src/(${from.join('|')})/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: `^src/(${to.join('|')})/` },
});

/** The rooms of the core that know a plan, from the ground up; what is in none of them (units, calculations, rules) stands below them all. */
const rows = ['verdict', 'document', 'settle', 'replay', 'checks', 'evaluate', 'edit', 'view', 'catalogue'];
/** Rooms below the plan, from the ground up; the subjects stand over these. */
const ground = ['units', 'geometry', 'calc', 'rules'];
const row = (name, under, over, comment) => ({
  name: `${name}-imports-what-stands-before-it`,
  severity: 'error',
  comment,
  from: { path: `^src/core/${under}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/core/${over}/` },
});
const oneWay = [
  ...ground.map((name, at) => row(name, name, `(?!(?:${ground.slice(0, at + 1).join('|')})/)[^/]+`, 'the ground of the core knows no subject and no plan')),
  ...rows
    .slice(0, -1)
    .map((name, at) => row(name, name, `(${rows.slice(at + 1).join('|')})`, 'document, settled plan, state of each move, checks, what shows them: one way')),
  row('subject', `(?!(?:${[...ground, ...rows].join('|')})/)[^/]+`, `(${rows.join('|')})`, 'a subject has no plan in it'),
];

module.exports = {
  forbidden: [
    below(['core'], ['server', 'workers', 'ui', 'job', 'stations', 'app'], 'the core imports nothing above it'),
    below(['ui'], ['server', 'workers', 'job', 'stations', 'app'], 'shared parts know no open job, no station and no server'),
    below(['job'], ['server', 'stations', 'app'], 'the open job knows no screen; it reaches the server by its API only'),
    below(['stations'], ['server', 'app'], 'a station reaches the server by its API only'),
    below(['server'], ['ui', 'job', 'stations', 'app', 'workers'], 'the server knows no screen'),
    below(['workers'], ['server', 'ui', 'job', 'stations', 'app'], 'a worker is a thin shell over the core'),
    ...oneWay,
    {
      name: 'stations-apart',
      severity: 'error',
      comment: 'a station knows no other: what two of them need is shared, and the screen puts them together',
      from: { path: '^src/stations/(?!screen/)([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/stations/', pathNot: '^src/stations/($1|shared)/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'no React, Next, database, Node or DOM library in the core',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: ['^(node:|fs$|path$|crypto$)', 'node_modules/(react|react-dom|next|pg|drizzle-orm|zustand|comlink|radix-ui|d3-|@dnd-kit|@react-pdf)'] },
    },
    {
      name: 'database-behind-the-server',
      severity: 'error',
      comment: 'only the server talks to PostgreSQL',
      from: { path: '^src/', pathNot: '^src/server/' },
      to: { path: 'node_modules/(pg|drizzle-orm)' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      comment: 'two files that need each other are one subject',
      from: { path: '^src/' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: { tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.json' }, doNotFollow: { path: 'node_modules' } },
};
