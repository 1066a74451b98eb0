/** The page may talk to its own server and to nothing else. Ajv compiles schemas in the browser, hence unsafe-eval. */
const policy = [
  "default-src 'self'",
  "script-src 'self' 'unsafe-inline' 'unsafe-eval'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self' data:",
  "connect-src 'self'",
  "worker-src 'self' blob:",
  "frame-ancestors 'none'",
  "form-action 'self'",
  "base-uri 'self'",
].join('; ');

/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  // The first start builds: what only helps to read the built server's own code is left out of it.
  experimental: { turbopackSourceMaps: false, turbopackInputSourceMaps: false, serverMinification: false },
  devIndicators: false,
  // Types are checked by npm run typecheck, which the tests run; building them twice costs half a minute.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['@react-pdf/renderer', 'pg', 'web-ifc', 'highs', 'piscina', 'pdf-lib'],
  outputFileTracingExcludes: { '*': ['.data/**', '.workers/**'] },
  async headers() {
    return [
      {
        source: '/(.*)',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          ...(process.env.NODE_ENV === 'production' ? [{ key: 'Content-Security-Policy', value: policy }] : []),
        ],
      },
    ];
  },
};

export default config;
