import { useRef, type ComponentProps } from 'react';
import { Button } from './Button';

interface FileButtonProps extends Pick<ComponentProps<typeof Button>, 'style'> {
  /** What is chosen, for those who listen. */
  label: string;
  /** What kinds of file are offered. */
  accept: string;
  onChoose(file: File): void;
  children: string;
}

/** Lets a file be chosen. */
export function FileButton({ label, accept, onChoose, children, style }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        style={{ display: 'none' }}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          if (chosen) onChoose(chosen);
          // the same file may be chosen again once it is mended
          e.target.value = '';
        }}
      />
      <Button mode="outlined" icon="upload" style={style} onPress={() => input.current?.click()}>
        {children}
      </Button>
    </>
  );
}
