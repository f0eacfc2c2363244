import { Dialog } from '../ui/Dialog';
import { Check } from '../ui/Field';
import { KeyCap } from '../ui/Button';
import { capOf, catalogue, sections } from './catalogue';
import { setSingleKeys, useSingleKeys } from './singleKeys';
import { useCommandsNow } from './useCommands';

/** All keys on one sheet: those of the catalogue, and those that the line or the page at hand offers. */
export function KeySheet({ onClose }: { onClose: () => void }) {
  const on = useSingleKeys();
  const offered = useCommandsNow().filter((command) => command.id === null);
  return (
    <Dialog title="Keys" onClose={onClose} wide>
      <Check label="Single letters do something on this device" value={on} onChange={setSingleKeys} />
      <div className="gap-x-8 sm:columns-2">
        {offered.length > 0 && (
          <Section
            title="Here and now"
            lines={offered.map((command) => [command.keys.map(capOf), command.title] as const)}
          />
        )}
        {sections.map((section) => (
          <Section
            key={section}
            title={section}
            lines={Object.values(catalogue)
              .filter((entry) => entry.section === section && entry.keys.length > 0)
              .map((entry) => [entry.keys.map(capOf), entry.title] as const)}
          />
        ))}
      </div>
    </Dialog>
  );
}

interface SectionProps {
  title: string;
  lines: readonly (readonly [keys: readonly string[], title: string])[];
}

function Section({ title, lines }: SectionProps) {
  return (
    <section className="mb-4 break-inside-avoid">
      <h3 className="mb-1 text-15">{title}</h3>
      <dl className="border-t border-line text-13">
        {lines.map(([keys, what]) => (
          <div key={`${keys.join()}${what}`} className="flex gap-3 border-b border-line py-1">
            <dt className="flex w-20 flex-none gap-1">
              {keys.map((key) => (
                <KeyCap key={key}>{key}</KeyCap>
              ))}
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
