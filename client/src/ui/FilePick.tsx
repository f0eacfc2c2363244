interface FilePickProps {
  children: string;
  accept: string;
  onPick: (file: File) => void;
  kind?: 'first' | 'usual';
  busy?: boolean;
  /** Opens the camera at once, where there is one. */
  camera?: boolean;
}

/** A file of this device, behind what looks like any other button. */
export function FilePick({
  children,
  accept,
  onPick,
  kind = 'usual',
  busy = false,
  camera = false,
}: FilePickProps) {
  return (
    <label className={`act file-pick ${kind === 'first' ? 'act-first' : ''}`}>
      {children}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        disabled={busy}
        {...(camera ? { capture: 'environment' as const } : {})}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file may be picked again.
          event.target.value = '';
          if (file !== undefined) {
            onPick(file);
          }
        }}
      />
    </label>
  );
}
