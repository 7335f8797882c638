module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'features-by-their-index',
      comment: 'A feature is entered through its index.ts.',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: ['^src/features/$1/', '/index\\.ts$'] },
    },
    {
      name: 'app-by-index',
      severity: 'error',
      from: { path: '^src/app/' },
      to: { path: '^src/features/[^/]+/', pathNot: '/index\\.ts$|View\\.vue$' },
    },
    {
      name: 'shared-knows-no-feature',
      severity: 'error',
      from: { path: '^src/shared/' },
      to: { path: '^src/(features|app)/' },
    },
    {
      name: 'features-know-no-app',
      severity: 'error',
      from: { path: '^src/features/' },
      to: { path: '^src/app/' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'src/generated|\\.spec\\.ts$' },
  },
}
