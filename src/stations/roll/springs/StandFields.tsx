import type { Stand, Stands } from '@/core/springs/springDesign';
import { LengthField } from '@/ui/fields/LengthField';

type SpringEnd = 'frame' | 'axle';
const STAND_WORDS: [key: keyof Stand, label: string, least: number, most: number][] = [
  ['out', 'from the centreline', 50, 1000],
  ['height', 'off the floor', 30, 1600],
  ['ahead', 'from the axle', -1000, 1000],
];

/** Where the two ends of the left spring or shock stand; the right one is its mirror. */
export function StandFields({
  name,
  stands,
  onPut,
}: {
  name: string;
  stands: Stands;
  onPut: (change: Partial<Stands>, field: string, typed: string) => void;
}) {
  return (['frame', 'axle'] as SpringEnd[]).map((end) => (
    <div key={end}>
      <h3>{end === 'frame' ? 'Frame end' : 'Axle end'}</h3>
      <div className="two-up">
        {STAND_WORDS.map(([key, label, least, most]) => (
          <LengthField
            key={key}
            field={`${name}/${end}/${key}`}
            label={`${end === 'frame' ? 'Frame end' : 'Axle end'}, ${label}`}
            showLabel
            mm={stands[end][key]}
            least={least}
            most={most}
            ways={key === 'ahead' ? ['ahead', 'behind'] : undefined}
            onEnter={(mm, typed) =>
              onPut({ [end]: { ...stands[end], [key]: mm } }, `${name}/${end}/${key}`, typed)
            }
          />
        ))}
      </div>
    </div>
  ));
}
