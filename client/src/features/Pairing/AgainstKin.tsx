import { useEffect } from 'react';
import { Check } from '../../ui/Field';
import { type Texts } from '../Journal/entryForm';
import { useKin } from './queries';

/** Names of what is written beside the act while the form is open. */
export const kinText = 'kin';
export const confirmedText = 'kinConfirmed';

interface Props {
  one: string;
  other: string;
  texts: Texts;
  write: (field: string, text: string) => void;
}

/** Says how near of kin the two are; those that are too near are paired only when that is confirmed. */
export function AgainstKin({ one, other, texts, write }: Props) {
  const { data } = useKin(one, other);
  const word = data?.stops === true ? `stops ${other}` : '';
  useEffect(() => {
    if ((texts[kinText] ?? '') !== word) {
      write(kinText, word);
      write(confirmedText, '');
    }
  }, [texts, word, write]);
  if (data === undefined || data.word === 'apart') {
    return data === undefined ? null : <p className="text-13 text-muted">{data.why.text}</p>;
  }
  return (
    <div role="alert" className="border-l-2 border-ember pl-3">
      <p>{data.why.text}</p>
      {data.stops && (
        <Check
          label="Paired all the same"
          value={texts[confirmedText] === 'yes'}
          onChange={(yes) => write(confirmedText, yes ? 'yes' : '')}
        />
      )}
    </div>
  );
}
