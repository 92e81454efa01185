import { JOB_VERSION } from './schema';
import { startingRecord, startingPlace, startingRide } from './starting';

type Loose = Record<string, unknown>;

/**
 * A job of version 1 in the shape of today's, before it is validated: readings spoke of `mm` and were lengths only; there
 * was neither a way of measuring nor a place for the axle on stands, and Ride knew two gaps alone.
 */
export function upgraded(value: Loose): Loose {
  if (value.version !== 1) return value;
  const ride = isLoose(value.ride) ? value.ride : {};
  return {
    record: startingRecord(),
    place: startingPlace(),
    ...value,
    version: JOB_VERSION,
    ride: { ...startingRide(), ...ride },
    readings: isLoose(value.readings) ? mapped(value.readings) : value.readings,
  };
}

function mapped(readings: Loose): Loose {
  return Object.fromEntries(
    Object.entries(readings).map(([key, list]) => [key, Array.isArray(list) ? list.map(renamed) : list]),
  );
}

function renamed(reading: unknown): unknown {
  if (!isLoose(reading) || !('mm' in reading)) return reading;
  const { mm, ...rest } = reading;
  return { value: mm, ...rest };
}

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
