import { useNavigate } from 'react-router';
import { Button } from '../../ui/Button';
import { EmptyState } from '../../ui/EmptyState';

/** A room in which nothing is written down yet: how to begin. */
export function EmptyRoom() {
  const navigate = useNavigate();
  return (
    <EmptyState
      title="No enclosure stands here yet"
      text="Write down what you keep; the round is made from what you log. Then it asks once when all was watered, and the first walk can begin."
    >
      <Button writes kind="first" onClick={() => void navigate('/stock/many')}>
        Paste a notebook or a table
      </Button>
      <Button writes onClick={() => void navigate('/stock/many?way=many')}>
        Many of a kind
      </Button>
      <Button writes onClick={() => void navigate('/stock/new')}>
        Add an animal
      </Button>
      <p className="w-full text-13 text-muted">
        To look round first, start the demo room: <b className="font-semibold">./lantern demo</b>. It lies
        apart from yours.
      </p>
    </EmptyState>
  );
}
