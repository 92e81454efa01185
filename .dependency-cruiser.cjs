/** The direction of dependencies: app → stations → bay, ui, store, workers → core. */
const forbid = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

module.exports = {
  forbidden: [
    forbid(
      'core-is-pure',
      '^src/core',
      'node_modules/(react|react-dom|next|antd|@ant-design|d3|dexie|zustand|zundo|comlink)/',
    ),
    forbid('core-knows-no-other-room', '^src/core', '^(src/(?!core)|app/)'),
    forbid('stations-keep-apart', '^src/stations/([^/]+)/', '^src/stations/(?!$1/)[^/]+/'),
    forbid('nothing-below-knows-stations', '^src/(bay|ui|store|workers)', '^(src/stations|app/)'),
    forbid('store-draws-nothing', '^src/(store|workers)', '^src/(bay|ui)'),
    forbid('app-is-the-top', '^(src|bin|scripts)/', '^app/'),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
