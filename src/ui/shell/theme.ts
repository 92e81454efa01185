import type { ThemeConfig } from 'antd';
import { useSyncExternalStore } from 'react';

const LIGHT = {
  colorPrimary: '#8a3419',
  colorLink: '#8a3419',
  colorText: '#23211d',
  colorTextPlaceholder: '#736b5c',
  colorBorder: '#8d8470',
  colorBgContainer: '#fffdf8',
  colorBgElevated: '#fffdf8',
  colorInfo: '#23211d',
  colorError: '#a3200f',
};

const DARK: typeof LIGHT & { colorBgBase: string; colorTextBase: string; colorTextLightSolid: string } = {
  colorBgBase: '#1c1a17',
  colorTextBase: '#efe8d9',
  colorTextLightSolid: '#1c1a17',
  colorPrimary: '#f0997c',
  colorLink: '#f0997c',
  colorText: '#efe8d9',
  colorTextPlaceholder: '#a89f8d',
  colorBorder: '#8d8470',
  colorBgContainer: '#262320',
  colorBgElevated: '#2c2925',
  colorInfo: '#efe8d9',
  colorError: '#f2917f',
};

/** Paper, ink and primer for the library's own controls; big enough for a gloved finger. */
const themeOf = (dark: boolean): ThemeConfig => ({
  token: {
    fontFamily: "'Barlow Semi Condensed', sans-serif",
    fontSize: 16,
    controlHeight: 44,
    borderRadius: 3,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
    ...(dark ? DARK : LIGHT),
  },
  components: {
    Modal: { titleFontSize: 22 },
    Segmented: dark
      ? {
          trackPadding: 0,
          trackBg: '#35302a',
          itemSelectedBg: '#efe8d9',
          itemSelectedColor: '#1c1a17',
          itemColor: '#efe8d9',
        }
      : {
          trackPadding: 0,
          trackBg: '#e6dcc8',
          itemSelectedBg: '#23211d',
          itemSelectedColor: '#ffffff',
          itemColor: '#23211d',
        },
  },
});

const THEMES = { light: themeOf(false), dark: themeOf(true) };

/** The theme for the surroundings that the device says it is in. */
export function useTheme(): ThemeConfig {
  const dark = useSyncExternalStore(listen, isDark, () => false);
  return dark ? THEMES.dark : THEMES.light;
}

const DIM = '(prefers-color-scheme: dark)';
const isDark = (): boolean => window.matchMedia(DIM).matches;

function listen(changed: () => void): () => void {
  const dim = window.matchMedia(DIM);
  dim.addEventListener('change', changed);
  return () => dim.removeEventListener('change', changed);
}
