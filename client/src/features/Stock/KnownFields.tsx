import { FoundingDrawing } from './FoundingDrawing';
import type { Schemas, StockDetails } from '../../api/client';
import { Choice } from '../../ui/Field';

interface KnownProps {
  details: StockDetails;
  set: (changed: Partial<StockDetails>) => void;
  /** Words for the stages of its group; a group with pupae asks for their winter. */
  stages: Schemas['GroupView']['stageWords'] | undefined;
}

type YesNo = 'yes' | 'no' | 'unknown';

const told = (value: boolean | null | undefined): YesNo =>
  value === true ? 'yes' : value === false ? 'no' : 'unknown';
const heard = (word: YesNo): boolean | null => (word === 'unknown' ? null : word === 'yes');

const yesNo: readonly (readonly [YesNo, string])[] = [
  ['unknown', 'Not known'],
  ['yes', 'Yes'],
  ['no', 'No'],
];

/** What cannot be taken over from relatives of a species that the rulebook does not have: it is asked, or not known. */
export function KnownFields({ details, set, stages }: KnownProps) {
  const known = details.known ?? {};
  const change = (changed: Partial<Schemas['KnownOfSpecies']>) => set({ known: { ...known, ...changed } });
  return (
    <section className="grid gap-4 border-l-2 border-lampmark pl-4" aria-label="What is known of the species">
      <p className="max-w-[62ch] text-13 text-muted">
        This species is not in the rulebook. Sizes and waits are taken from its group and said to be guesses;
        the following is never guessed. What is not known counts as the dangerous side.
      </p>
      <Choice
        label="What it can do to people"
        options={[
          ['unknown', 'Not known'],
          ['none', 'Nothing beyond a pinch'],
          ['irritantHairs', 'Irritant hairs'],
          ['painfulSting', 'Painful sting or bite'],
          ['medicallySignificant', 'Dangerous venom'],
        ]}
        value={known.hazard ?? 'unknown'}
        onChange={(hazard) => change({ hazard: hazard === 'unknown' ? null : hazard })}
      />
      {details.group === 'ant' && (
        <div>
          <Choice
            label="How its queens found: look at the thorax"
            options={[
              ['unknown', 'Not known'],
              ['claustral', 'Large and rounded: on her reserves'],
              ['semiClaustral', 'Slim: she must be fed'],
            ]}
            value={known.founding ?? 'unknown'}
            onChange={(founding) => change({ founding: founding === 'unknown' ? null : founding })}
          />
          <FoundingDrawing />
        </div>
      )}
      {stages?.['pupa'] !== undefined && details.group === 'moth' && (
        <>
          <Choice
            label="Its pupa needs a cold winter"
            options={yesNo}
            value={told(known.pupaNeedsWinter)}
            onChange={(word) => change({ pupaNeedsWinter: heard(word) })}
          />
          <Choice
            label="Its adults feed"
            options={yesNo}
            value={told(known.adultFeeds)}
            onChange={(word) => change({ adultFeeds: heard(word) })}
          />
        </>
      )}
    </section>
  );
}
