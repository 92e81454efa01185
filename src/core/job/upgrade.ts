import { usualBar } from '@/core/roll/barDesign';
import { JOB_VERSION } from './schema';
import { startingPlace, startingRecord, startingRide, startingRoll } from './starting';

type Loose = Record<string, unknown>;

/** A job of an older version in the shape of today's, before it is validated. */
export function upgraded(value: Loose): Loose {
  switch (value.version) {
    case 1:
      return upgraded(fromFirst(value));
    case 2:
      return { ...value, version: JOB_VERSION, roll: rollFromSecond(value.roll) };
    default:
      return value;
  }
}

/**
 * Version 1: readings spoke of `mm` and were lengths only; there was neither a way of measuring nor a place for the axle on
 * stands, and Ride knew two gaps alone.
 */
function fromFirst(value: Loose): Loose {
  const ride = isLoose(value.ride) ? value.ride : {};
  return {
    record: startingRecord(),
    place: startingPlace(),
    ...value,
    version: 2,
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

/** Version 2: springs were coils that stood upright, a bar was bent from one piece and had one dip. */
function rollFromSecond(roll: unknown): unknown {
  if (!isLoose(roll)) return startingRoll();
  return { ...startingRoll(), springs: springsFromSecond(roll.springs), bar: barFromSecond(roll.bar) };
}

function springsFromSecond(springs: unknown): unknown {
  if (!isLoose(springs)) return null;
  const { rate, out, top, bottom, ahead } = springs;
  const stand = (height: unknown) => ({ out, ahead, height });
  return { kind: 'coil', rate, frame: stand(top), axle: stand(bottom), free: null, solid: null };
}

function barFromSecond(bar: unknown): unknown {
  if (!isLoose(bar)) return null;
  const { dip, ...rest } = bar;
  const dips = isLoose(dip) && dip.depth !== 0 ? [{ at: 0, ...dip }] : [];
  // What a bar of version 2 did not state does not depend on the size of the car.
  return { ...usualBar({ track: 0, tireRadius: 0 }), ...rest, dips };
}

const isLoose = (v: unknown): v is Loose => typeof v === 'object' && v !== null && !Array.isArray(v);
