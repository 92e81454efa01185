import AntInput, { type InputProps } from 'antd/es/input/Input';
import AntTextArea, { type TextAreaProps } from 'antd/es/input/TextArea';
import { useId, type ChangeEvent, type FocusEvent } from 'react';
import { endAct, inOneAct } from '@/store/jobStore';

// The package's front door brings passwords, searches and one-time codes along with these two.

type Handlers<E> = { onChange?: (e: ChangeEvent<E>) => void; onBlur?: (e: FocusEvent<E>) => void };

/** What is typed until the field is left is one act. */
function useTyping<E>({ onChange, onBlur }: Handlers<E>): Required<Handlers<E>> {
  const act = useId();
  return {
    onChange: (e) => inOneAct(act, () => onChange?.(e)),
    onBlur: (e) => {
      onBlur?.(e);
      endAct();
    },
  };
}

/** A line of text. */
export const Input = (props: InputProps) => <AntInput {...props} {...useTyping(props)} />;

/** Several lines of text. */
export const TextArea = (props: TextAreaProps) => <AntTextArea {...props} {...useTyping(props)} />;
