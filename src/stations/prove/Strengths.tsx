'use client';
import { withStrength, withWanted } from '@/core/job/edits/parts/parts';
import type { Job } from '@/core/job/jobSchema';
import { bracketOf } from '@/core/job/made/bracketParts';
import { barOf, FROM_MEMORY, LINK_ENDS, metalOf, threadedMetal } from '@/core/job/made/parts';
import { endLinkOf } from '@/core/job/made/sway/endLink';
import type { Strength } from '@/core/job/slices/parts';
import { LIMITS } from '@/core/materials/limits';
import { METAL_NAMES, type MetalName, type StrengthName } from '@/core/materials/metals';
import { linksOf } from '@/core/rig/members/members';
import { STRESS } from '@/core/units/unit';
import { edit, enter, useJob } from '@/store/jobStore';
import { NumberField } from '@/ui/fields/NumberField';
import { Input } from '@/ui/fields/textInput';

type Value = Exclude<keyof Strength, 'source'>;
const WORDS: Record<Value, string> = {
  yield: 'Yields at',
  ultimate: 'Breaks at',
  welded: 'Yields beside a weld at',
};
const VALUES = Object.keys(WORDS) as Value[];

/** What the proof reckons with: how strong the metals of this job are and where that is from, and how many times over all is to hold. */
export function Strengths() {
  const job = useJob();
  const usual = LIMITS.strength.wanted[job.use];
  return (
    <details className="strengths" id="prove-reckoned" data-strengths>
      <summary>What is reckoned with</summary>
      <NumberField
        field="parts/wanted"
        label="How many times over"
        showLabel
        value={job.parts.wanted ?? null}
        least={1}
        most={20}
        unit="times"
        decimals={1}
        placeholder={`${usual}, usual for this use`}
        onEnter={(value, typed) => enter('parts/wanted', typed, (j) => withWanted(j, value))}
        onClear={() => enter('parts/wanted', null, (j) => withWanted(j, undefined))}
      />
      <p className="hint">
        More where a bar has no other to fall back on, and where what goes breaks without bending first. A
        mill’s certificate or the maker’s own figures come before these.
      </p>
      {metalsOf(job).map((name) => {
        const { name: word, source, ...metal } = metalOf(job, name);
        return <Row key={name} of={name} word={word} source={source} values={VALUES} metal={metal} />;
      })}
      {(['shank', 'bung'] as const).map((name) => {
        const { name: word, source, ...metal } = threadedMetal(job, name);
        return <Row key={name} of={name} word={word} source={source} values={['yield']} metal={metal} />;
      })}
    </details>
  );
}

/** The metals that anything of a job is made of. */
function metalsOf(job: Job): MetalName[] {
  const endLink = endLinkOf(job);
  const used = new Set<MetalName>([
    ...linksOf(job.rig).flatMap((link) => [
      barOf(job, link.id).metal,
      ...LINK_ENDS.map((end) => bracketOf(job, link, end).metal),
    ]),
    ...(endLink ? [endLink.metal, 'plate' as const] : []),
  ]);
  return METAL_NAMES.filter((name) => used.has(name));
}

type RowProps = {
  of: StrengthName;
  word: string;
  source: string;
  values: Value[];
  metal: Partial<Record<Value, number>>;
};

function Row({ of, word, source, values, metal }: RowProps) {
  const { tape, parts } = useJob();
  const said = parts.strengths?.[of];
  const put = (value: Value, text: string | null, stress: number | undefined) =>
    enter(`parts/strengths/${of}/${value}`, text, (j) => withStrength(j, of, { [value]: stress }));
  return (
    <fieldset>
      <legend>{word}</legend>
      {values.map((value) => (
        <NumberField
          key={value}
          field={`parts/strengths/${of}/${value}`}
          label={WORDS[value]}
          showLabel
          value={STRESS.shown(metal[value]!, tape)}
          least={STRESS.shown(20, tape)}
          most={STRESS.shown(3000, tape)}
          unit={STRESS.sign(tape)}
          decimals={tape === 'mm' ? 0 : 1}
          onEnter={(shown, typed) => put(value, typed, STRESS.read(shown, tape))}
          onClear={() => put(value, null, undefined)}
        />
      ))}
      <label>
        <span className="length-label">Where that is from</span>
        <Input
          id={`strength-source-${of}`}
          value={said?.source ?? ''}
          placeholder={said && source === FROM_MEMORY ? 'say where: certificate, maker' : FROM_MEMORY}
          maxLength={200}
          onChange={(e) => edit((j) => withStrength(j, of, { source: e.target.value || undefined }))}
        />
      </label>
    </fieldset>
  );
}
