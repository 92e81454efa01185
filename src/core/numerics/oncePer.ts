/**
 * The answer to a question about a thing and something of it, worked out once for each pair: things that are asked about are never
 * changed, an edit makes another. Answers go with the things that they are of.
 *
 * @param question what is asked of a thing, and of an object or a name of it
 */
export function oncePer<Thing extends object, Key, Answer>(
  question: (thing: Thing, key: Key) => Answer,
): (thing: Thing, key: Key) => Answer {
  const answers = new WeakMap<Thing, Map<Key, Answer>>();
  return (thing, key) => {
    let ofThing = answers.get(thing);
    if (!ofThing) answers.set(thing, (ofThing = new Map<Key, Answer>()));
    const known = ofThing.get(key);
    if (known !== undefined) return known;
    const answer = question(thing, key);
    ofThing.set(key, answer);
    return answer;
  };
}
