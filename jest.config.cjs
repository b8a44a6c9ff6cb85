const node = (name) => ({
  displayName: name,
  rootDir: `<rootDir>/${name}`,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts'],
  setupFilesAfterEnv: [`${__dirname}/scripts/jest-patience.cjs`, `${__dirname}/words/src/rest.ts`],
  transform: { '\\.(ts|js|mjs)$': '<rootDir>/../scripts/jest-esbuild.cjs' },
  // These ship ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-contour|d3-array|internmap|intl-messageformat|@formatjs|uuid)/)'],
});

module.exports = {
  projects: [
    ...['core', 'facts', 'words', 'server'].map((name) => ({
      ...node(name),
      rootDir: `${__dirname}/${name}`,
      transform: { '\\.(ts|js|mjs)$': `${__dirname}/scripts/jest-esbuild.cjs` },
    })),
    {
      displayName: 'app',
      rootDir: `${__dirname}/app`,
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: [`${__dirname}/scripts/jest-patience.cjs`, `${__dirname}/words/src/rest.ts`],
      moduleNameMapper: {
        // The browser preset does not transform .mjs: take the CommonJS and UMD builds.
        '^lucide-react-native/icons/(.*)$': `${__dirname}/node_modules/lucide-react-native/dist/cjs/icons/$1.js`,
        '^(d3-[a-z-]+)$': `${__dirname}/node_modules/$1/dist/$1.js`,
      },
      transformIgnorePatterns: [
        '/node_modules/(?!((jest-)?react-native|@react-native|expo|@expo|react-native-svg|d3-contour|d3-array|internmap|intl-messageformat|@formatjs|uuid|react-hotkeys-hook))',
      ],
    },
  ],
};
