const transform = {
  '^.+\\.(t|j)sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
    },
  ],
};
const project = (name, rest = {}) => ({
  displayName: name,
  testMatch: [`<rootDir>/tests/${name}/**/*.test.ts`],
  testEnvironment: 'node',
  // The half-deleted globals of a file that has ended call themselves without end when a database sets one.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  transform,
  transformIgnorePatterns: [],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^d3$': '<rootDir>/node_modules/d3/dist/d3.js' },
  modulePathIgnorePatterns: ['<rootDir>/.next'],
  ...rest,
});

const config = { projects: [project('unit'), project('reference'), project('e2e')], testTimeout: 240_000 };
export default config;
