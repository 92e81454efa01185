/** Standard gravity, m/s². */
export const G = 9.80665;
