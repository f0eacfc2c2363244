import { useState } from 'react';
import { Button } from '../../ui/Button';

interface ScanCodeProps {
  /** Path within the room; left out for the page on which a phone learns to trust it. */
  path?: string;
  /** Where it leads, in words. */
  of: string;
}

/** A code for a phone's camera; behind a tap, for it is the brightest thing in a dark room. */
export function ScanCode({ path, of }: ScanCodeProps) {
  const [shown, setShown] = useState(false);
  const query = path === undefined ? '' : `?path=${encodeURIComponent(path)}`;
  return shown ? (
    <img
      src={`/api/doorway/code.svg${query}`}
      alt={`Code to scan: ${of}`}
      width={208}
      height={208}
      className="bg-white"
    />
  ) : (
    <Button className="justify-self-start" onClick={() => setShown(true)}>
      Show a code to scan
    </Button>
  );
}
