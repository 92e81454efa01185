'use client';
import { Button } from 'antd';
import { useRef } from 'react';

type Props = {
  children: string;
  /** kinds of file that can be chosen, as a browser names them */
  accept: string;
  onFile: (file: File) => void;
  /** tells this file’s way in from another’s */
  name: string;
};

/** A button by which a file is chosen; the same one can be chosen again. */
export function FileButton({ children, accept, onFile, name }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => picker.current?.click()}>{children}</Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        hidden
        data-input={name}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onFile(file);
          e.target.value = '';
        }}
      />
    </>
  );
}
