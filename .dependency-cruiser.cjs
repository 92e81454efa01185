/**
 * The direction of dependencies: app → stations → bay, ui, store, workers → core. Inside the core the rooms stand on floors: a
 * room needs those below it, never one above or beside it.
 */
const FLOORS = [
  ['geometry', 'numerics'],
  ['units'],
  ['materials'],
  ['rig'],
  ['kinematics', 'beam', 'survey'],
  ['statics', 'clearance', 'springs', 'strength'],
  ['swaybar'],
  ['balance', 'fabricate'],
  ['job'],
  ['provenance'],
  ['verdict'],
  ['record', 'place', 'locate', 'roll', 'prove', 'cut', 'weld', 'ride'],
  ['bench'],
  ['plan'],
  ['advice'],
  ['drive', 'built', 'choose'],
  ['book'],
];
const ROOMS = FLOORS.flat();

const forbid = (name, from, to) => ({ name, severity: 'error', from: { path: from }, to: { path: to } });

const below = FLOORS.map((rooms, floor) => ({
  name: `core-${rooms.join('-')}-needs-only-what-is-below`,
  severity: 'error',
  from: { path: `^src/core/(${rooms.join('|')})/` },
  to: { path: `^src/core/(${FLOORS.slice(floor).flat().join('|')})/`, pathNot: '^src/core/$1/' },
}));

module.exports = {
  forbidden: [
    ...below,
    forbid('core-has-no-room-off-the-floors', '', `^src/core/(?!(${ROOMS.join('|')})/)`),
    forbid(
      'core-is-pure',
      '^src/core',
      'node_modules/(react|react-dom|next|antd|@ant-design|d3|dexie|zustand|zundo|comlink)/',
    ),
    forbid('core-knows-no-other-room', '^src/core', '^(src/(?!core)|app/)'),
    forbid('stations-keep-apart', '^src/stations/([^/]+)/', '^src/stations/(?!$1/)[^/]+/'),
    forbid('nothing-below-knows-stations', '^src/(bay|ui|store|workers|offline)', '^(src/stations|app/)'),
    forbid('store-draws-nothing', '^src/(store|workers)', '^src/(bay|ui)'),
    forbid('server-knows-the-core-alone', '^src/server', '^src/(?!server|core)'),
    forbid('no-page-knows-the-server', '^src/(?!server)', '^src/server'),
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
