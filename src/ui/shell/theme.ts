import type { ThemeConfig } from 'antd';

/** Paper, ink and primer for the library's own controls; big enough for a gloved finger. */
export const theme: ThemeConfig = {
  token: {
    fontFamily: "'Barlow Semi Condensed', sans-serif",
    fontSize: 16,
    controlHeight: 42,
    borderRadius: 3,
    colorPrimary: '#8a3419',
    colorLink: '#8a3419',
    colorText: '#23211d',
    colorTextPlaceholder: '#736b5c',
    colorBorder: '#8d8470',
    colorBgContainer: '#fffdf8',
    colorBgElevated: '#fffdf8',
    colorInfo: '#23211d',
    colorError: '#a3200f',
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
  },
  components: {
    Modal: { titleFontSize: 22 },
    Segmented: {
      trackBg: '#e6dcc8',
      itemSelectedBg: '#23211d',
      itemSelectedColor: '#ffffff',
      itemColor: '#23211d',
    },
  },
};
