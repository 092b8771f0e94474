interface FileInputProps {
  readonly id: string;
  readonly accept: string;
  readonly onFile: (file: File | undefined) => void;
}

/** Asks for one file; its label, which is what is seen, stands around it. The same file can be chosen again. */
export function FileInput({ id, accept, onFile }: FileInputProps) {
  return (
    <input
      id={id}
      type="file"
      accept={accept}
      className="sr-only"
      onChange={(event) => {
        onFile(event.target.files?.[0]);
        event.target.value = '';
      }}
    />
  );
}
