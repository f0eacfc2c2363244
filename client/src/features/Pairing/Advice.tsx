import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { WhyButton } from '../../ui/WhyButton';
import { useWhy } from '../Reasons/WhyContext';

/** What would make a good first project, of the keeper's own and of the rulebook. */
export function Advice({ advice }: { advice: readonly Schemas['FirstProject'][] }) {
  const { toggle } = useWhy();
  return (
    <section aria-labelledby="first-project" className="mt-8 border-t border-edge pt-3">
      <h2 id="first-project" className="text-18">
        A first project?
      </h2>
      <ol className="max-w-[76ch]">
        {advice.map((project) => (
          <li key={project.species} className="border-t border-line py-1.5">
            <p className="flex flex-wrap items-baseline gap-x-2">
              <i className="font-display text-16 font-semibold">{project.species}</i>
              <span className="text-13 text-muted">
                {project.own.length > 0 ? `yours: ${project.own.join(', ')}` : 'not kept here'} ·{' '}
                {project.met} of {project.asked}
              </span>
              <WhyButton
                of={`${project.species} as a first project`}
                onClick={() =>
                  toggle({
                    title: `${project.species} as a first project`,
                    animal: null,
                    summary: project.says,
                    reasons: project.why,
                  })
                }
              />
            </p>
            <p className="text-13">{project.says}</p>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-13">
        <Link to="/rulebook" className="linkish">
          All species in the rulebook
        </Link>
      </p>
    </section>
  );
}
