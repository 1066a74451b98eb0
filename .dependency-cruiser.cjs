/** Imports run one way: app → stations → ui → core, app → server → core, workers → core. */
const below = (from, to, comment) => ({
  name: `${from.join('-')}-not-${to.join('-')}`,
  severity: 'error',
  comment,
  from: { path: `^src/(${from.join('|')})/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: `^src/(${to.join('|')})/` },
});

module.exports = {
  forbidden: [
    below(['core'], ['server', 'workers', 'ui', 'stations', 'app'], 'the core imports nothing above it'),
    below(['ui'], ['server', 'workers', 'stations', 'app'], 'shared parts know no station and no server'),
    below(['stations'], ['server', 'app'], 'a station reaches the server by its API only'),
    below(['server'], ['ui', 'stations', 'app', 'workers'], 'the server knows no screen'),
    below(['workers'], ['server', 'ui', 'stations', 'app'], 'a worker is a thin shell over the core'),
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
