import { PageTitle } from '../../ui/PageTitle';
import { Button } from '../../ui/Button';
import { Link, useSearchParams } from 'react-router';
import { Refusal, type Schemas } from '../../api/client';
import { useGuide, useGuideOf } from './queries';
import { useLog } from '../Journal/queries';
import { useRulebook } from '../Rulebook/queries';
import { useAnimal } from '../Stock/queries';
import { Choice, FormError } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { GuideDrawing } from './GuideDrawing';
import { newId } from '../../ui/newId';

type Case = Schemas['GuideCase'];

/** "What am I seeing?": from what is seen over two or three questions to what it most likely is. */
export function GuidePage() {
  const [search] = useSearchParams();
  const animalId = search.get('animal');
  return animalId === null ? (
    <ForGroup group={search.get('group') ?? 'tarantula'} />
  ) : (
    <ForAnimal id={animalId} />
  );
}

function ForGroup({ group }: { group: string }) {
  return (
    <Waiting query={useGuide(group)} what="The guide">
      {(cases) => <Cases cases={cases} group={group} />}
    </Waiting>
  );
}

function ForAnimal({ id }: { id: string }) {
  const guide = useGuideOf(id);
  return (
    <Waiting query={useAnimal(id)} what="The animal">
      {(animal) => (
        <Waiting query={guide} what="The guide">
          {(cases) => (
            <Cases
              cases={cases}
              group={animal.details.group}
              animal={{ id, name: animal.details.nickname, group: animal.details.group }}
            />
          )}
        </Waiting>
      )}
    </Waiting>
  );
}

interface Asked {
  id: string;
  name: string;
  group: string;
}

function Cases({ cases, group, animal }: { cases: Case[]; group: string; animal?: Asked }) {
  const groups = useRulebook().data?.groups ?? [];
  // The group, the case and the answers stand in the address, so that a reading can be sent on and gone back in.
  const [search, setSearch] = useSearchParams();
  const go = (changed: Record<string, string | null>) => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(changed)) {
      if (value === null) {
        next.delete(key);
      } else {
        next.set(key, value);
      }
    }
    setSearch(next);
  };
  const chosen = cases.find((c) => c.id === search.get('case')) ?? null;
  const options = groups.map((g): [string, string] => [g.id, g.name]);
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <PageTitle>Guide</PageTitle>
      <h1 className="page-title">What am I seeing?</h1>
      <p className="mb-3 max-w-[70ch] text-muted">
        {animal !== undefined && (
          <>
            For{' '}
            <Link to={`/stock/${animal.id}`} className="linkish text-ink">
              {animal.name}
            </Link>
            .{' '}
          </>
        )}
        Answer two or three questions. It says what it most likely is and what to do now; it never replaces an
        experienced keeper or a vet.
      </p>
      {animal === undefined && chosen === null && (
        <Choice
          label="Group"
          options={options}
          value={group}
          onChange={(next) => go({ group: next, case: null, answers: null })}
        />
      )}
      {chosen === null ? (
        <ul className="mt-4 grid grid-cols-4 gap-4 max-lg:grid-cols-3 max-sm:grid-cols-2">
          {cases.map((c) => (
            <li key={c.id}>
              <button
                type="button"
                onClick={() => go({ case: c.id, answers: null })}
                className="grid h-full w-full content-start justify-items-center gap-1 rounded-s border border-line bg-raised p-3 text-center hover:border-ink"
              >
                <GuideDrawing
                  name={c.drawing}
                  group={group}
                  className="h-24 w-full max-w-[150px] text-soft"
                />
                <span className="font-display text-15 font-semibold">{c.title}</span>
              </button>
            </li>
          ))}
        </ul>
      ) : (
        <Reading
          key={chosen.id}
          guide={chosen}
          group={group}
          answers={(search.get('answers') ?? '')
            .split('.')
            .filter((k) => k !== '')
            .map(Number)}
          onAnswer={(answers) => go({ answers: answers.length === 0 ? null : answers.join('.') })}
          {...(animal === undefined ? {} : { animal })}
          onBack={() => go({ case: null, answers: null })}
        />
      )}
    </div>
  );
}

const sureness: Record<Schemas['Sureness'], string> = {
  almostCertain: 'Almost certain',
  likely: 'Likely',
  possible: 'Possible, not sure',
};

interface ReadingProps {
  guide: Case;
  group: string;
  animal?: Asked;
  /** Which answer was given to each question in turn, counted from 1. */
  answers: readonly number[];
  onAnswer: (answers: readonly number[]) => void;
  onBack: () => void;
}

interface Step {
  question: string;
  answer: string;
  to: string;
}

/** Follows the answers as far as they lead. */
function follow(guide: Case, answers: readonly number[]): Step[] {
  const path: Step[] = [];
  for (const k of answers) {
    const question = guide.questions.find((q) => q.id === (path.at(-1)?.to ?? guide.start));
    const answer = question?.answers[k - 1];
    if (question === undefined || answer === undefined) {
      break;
    }
    path.push({ question: question.text, answer: answer.text, to: answer.to });
  }
  return path;
}

function Reading({ guide, group, animal, answers, onAnswer, onBack }: ReadingProps) {
  const path = follow(guide, answers);
  const at = path.at(-1)?.to ?? guide.start;
  const question = guide.questions.find((q) => q.id === at);
  const outcome = guide.outcomes.find((o) => o.id === at);
  return (
    <div className="mt-4 grid grid-cols-[240px_minmax(0,1fr)] gap-8 border-t border-line pt-4 max-sm:grid-cols-1 max-sm:gap-3">
      <div className="text-center">
        <GuideDrawing
          name={guide.drawing}
          group={group}
          className="mx-auto h-36 w-full max-w-[220px] text-soft max-sm:h-24"
        />
        <h2 className="text-18">{guide.title}</h2>
        <Button kind="link" className="mt-2 text-13" onClick={onBack}>
          Something else
        </Button>
      </div>
      <div>
        <ol className="text-13 text-muted">
          {path.map((step, k) => (
            <li key={step.question} className="flex flex-wrap gap-x-2 py-0.5">
              {step.question} <b className="font-semibold text-soft">{step.answer}</b>
              <Button kind="link" onClick={() => onAnswer(answers.slice(0, k))}>
                change<span className="sr-only"> the answer to “{step.question}”</span>
              </Button>
            </li>
          ))}
        </ol>
        {question !== undefined && (
          <div role="group" aria-labelledby="question">
            <h3 id="question" className="mt-1 mb-2 text-22">
              {question.text}
            </h3>
            <div className="grid max-w-[520px] gap-2">
              {question.answers.map((answer, k) => (
                <Button
                  key={answer.text}
                  className="justify-start text-left whitespace-normal"
                  onClick={() => onAnswer([...answers.slice(0, path.length), k + 1])}
                >
                  {answer.text}
                </Button>
              ))}
            </div>
          </div>
        )}
        {outcome !== undefined && <Outcome outcome={outcome} {...(animal === undefined ? {} : { animal })} />}
      </div>
    </div>
  );
}

function Outcome({ outcome, animal }: { outcome: Schemas['GuideOutcome']; animal?: Asked }) {
  return (
    <section aria-live="polite" className="max-w-[620px]">
      <p className="mt-2 text-13 font-semibold text-lamptext">{sureness[outcome.sureness]}</p>
      <h3 className="text-22">{outcome.likely}</h3>
      <div className="mt-3 grid grid-cols-2 gap-x-6 gap-y-3 max-sm:grid-cols-1">
        <Advice title="Do now" lines={outcome.now} mark="border-moss" />
        <Advice title="Never" lines={outcome.never} mark="border-ember" />
      </div>
      <p className="mt-3 border-l-2 border-hush pl-3">{outcome.ask}</p>
      <p className="mt-2 text-12 text-muted">{outcome.source}</p>
      {animal !== undefined && outcome.signs.length > 0 && <LogSigns animal={animal} signs={outcome.signs} />}
    </section>
  );
}

function Advice({ title, lines, mark }: { title: string; lines: string[]; mark: string }) {
  return lines.length === 0 ? null : (
    <div className={`border-l-2 pl-3 ${mark}`}>
      <h4 className="font-display text-15 font-semibold">{title}</h4>
      <ul>
        {lines.map((line) => (
          <li key={line} className="mt-1">
            {line}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Logs what was seen as a sign, for groups in which it is one. */
function LogSigns({ animal, signs }: { animal: Asked; signs: string[] }) {
  const known = useRulebook().data?.signs ?? [];
  const log = useLog(true);
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2">
      {known
        .filter((s) => signs.includes(s.id) && s.groups.includes(animal.group))
        .map((s) => (
          <Button
            writes
            key={s.id}
            disabled={log.isPending}
            onClick={() =>
              log.mutate({
                stockId: animal.id,
                id: newId(),
                act: { kind: 'signSeen', signId: s.id },
                text: `${animal.name}: ${s.brief}`,
              })
            }
          >
            Log it for {animal.name}: {s.brief}
          </Button>
        ))}
      <span role="status" className="text-mosstext">
        {log.isSuccess ? (log.data === null ? 'Waits for the server.' : 'Logged.') : ''}
      </span>
      <FormError>{log.error instanceof Refusal ? log.error.all : undefined}</FormError>
    </div>
  );
}
