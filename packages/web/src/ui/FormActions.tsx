import { useNavigate } from 'react-router';
import { Trash2 } from 'lucide-react';

interface FormActionsProps {
  /** Where the records of the kind are listed, and how the way there is called; none where they stand on the same page. */
  readonly back?: { readonly to: string; readonly words: string };
  /** How taking it out is called and done; none for a new record. */
  readonly takeOut: { readonly words: string; readonly run: () => void } | undefined;
}

/** What stands beside Save: the way back, and taking the record out. */
export function FormActions({ back, takeOut }: FormActionsProps) {
  const navigate = useNavigate();
  return (
    <>
      {back && (
        <button type="button" className="action" onClick={() => void navigate(back.to)}>
          {back.words}
        </button>
      )}
      {takeOut && (
        <button type="button" className="action ml-auto" onClick={takeOut.run}>
          <Trash2 size={16} aria-hidden="true" />
          {takeOut.words}
        </button>
      )}
    </>
  );
}
