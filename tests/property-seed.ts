import fc from 'fast-check';

/** Property tests draw the same cases every time, so that a red run is red again; `npm run test:random` draws others. */
const asked = process.env.KEEN_TRESTLE_SEED;
if (asked !== 'random') fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: asked ? Number(asked) : 20_261_126 });
