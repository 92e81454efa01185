import { MM_PER_INCH } from '@/core/units/tape';

/**
 * What readings are taken with, and how far each can be trusted. `limit` is the largest honest error of the tool and the way
 * it is held (taken as a rectangular distribution, GUM 4.3.7); `repeat` is the standard deviation from one reading to the
 * next. Lengths in mm, angles in degrees, weights in kg. Common practice, no published source.
 */
type Tool = { name: string; limit: number; repeat: number };

export const TOOLS = {
  tape: { name: 'tape', limit: MM_PER_INCH / 32, repeat: 0.6 },
  't-square': { name: 'T-square and tape', limit: MM_PER_INCH / 32, repeat: 0.8 },
  'plumb-bob': { name: 'plumb bob and tape', limit: MM_PER_INCH / 16, repeat: 1 },
  square: { name: 'square and tape', limit: MM_PER_INCH / 32, repeat: 0.8 },
  calipers: { name: 'calipers', limit: 0.2, repeat: 0.2 },
  laser: { name: 'laser', limit: 1, repeat: 0.3 },
  level: { name: 'level and shim', limit: 0.05, repeat: 0.05 },
  'angle-gauge': { name: 'angle gauge', limit: 0.2, repeat: 0.1 },
  scales: { name: 'wheel scales', limit: 1, repeat: 1 },
} as const satisfies Record<string, Tool>;

export type ToolName = keyof typeof TOOLS;
export const TOOL_NAMES = Object.keys(TOOLS) as [ToolName, ...ToolName[]];
