/** How one end of the axle is held while the frame stands on its stands, mm. */
export type Rest = {
  /** of the axle's centre, off the floor */
  centre: number;
  /** of what the tube rests on, off the floor */
  top: number;
  /** between the two strips that keep it from rolling fore and aft */
  strips: number;
};

/**
 * Where the axle is held so that frame and axle stand to each other as they will on the road.
 *
 * Centre = tyre radius + what the frame is held above the height it will have; rest = centre − half of the tube; strips a
 * tube's diameter apart. Common practice, no published source.
 *
 * @param radius loaded tyre radius, or half of the tyre's diameter when it is laid out with the frame on the ground, mm
 * @param held frame above the floor now, mm
 * @param will frame above the floor at the height laid out for, mm
 * @param tube diameter of the axle tube, mm
 */
export function restFor(radius: number, held: number, will: number, tube: number): Rest {
  const centre = radius + held - will;
  return { centre, top: centre - tube / 2, strips: tube };
}
