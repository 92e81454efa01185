'use client';
import { Select } from 'antd';
import { BOLT_GRADE_NAMES, BOLT_GRADES, type BoltGrade } from '@/core/materials/metals';

type Props = { label: string; grade: BoltGrade; onPick: (grade: BoltGrade) => void };

/** The grade of a bolt. */
export const GradeField = ({ label, grade, onPick }: Props) => (
  <label>
    <span className="length-label">{label}</span>
    <Select<BoltGrade>
      aria-label={label}
      value={grade}
      onChange={onPick}
      options={BOLT_GRADE_NAMES.map((name) => ({ value: name, label: BOLT_GRADES[name].name }))}
    />
  </label>
);
