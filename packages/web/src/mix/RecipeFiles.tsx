import { useRef } from 'react';
import { useNavigate } from 'react-router';
import { Download, FileUp } from 'lucide-react';
import { inputOf, type RecipeRecord } from '@wheat-ledger/contract';
import { problemOf, useSaveMutation } from '../app/api';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { saveText } from '../ui/saveFile';
import { readRecipeFile, recipeCsv, recipeJson } from './recipeFile';

/** A kept recipe as a file, whole as JSON or its parts as a table. */
export function SaveRecipe({ record, nameOf }: { record: RecipeRecord; nameOf: (productId: string) => string }) {
  const input = inputOf(record);
  const name = record.name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60) || 'recipe';
  const kinds = [
    ['JSON', 'application/json', () => recipeJson(input, nameOf)],
    ['CSV', 'text/csv', () => recipeCsv(input, nameOf)],
  ] as const;
  return kinds.map(([kind, type, text]) => (
    <button
      key={kind}
      type="button"
      className="action"
      onClick={() => saveText(`${name}.${kind.toLowerCase()}`, text(), type)}
    >
      <Download size={16} aria-hidden="true" />
      {kind}
    </button>
  ));
}

/** Opens a recipe file and keeps it as a recipe; materials that no bag is called by are named. */
export function OpenRecipe({ shelf }: { shelf: readonly { readonly id: string; readonly name: string }[] }) {
  const chooser = useRef<HTMLInputElement>(null);
  const [save, { isLoading }] = useSaveMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const say = (text: string): void => void dispatch(deskSlice.actions.noticed({ text, recordId: undefined }));
  const open = async (file: File): Promise<void> => {
    const read = readRecipeFile(file.name, await file.text(), shelf);
    if (!read.ok) return say(`${file.name}: ${read.reason}`);
    const saved = await save({ kind: 'recipe', input: read.input });
    if (saved.error) return say(problemOf(saved.error).detail);
    await navigate(`/mix/${saved.data.id}`, { flushSync: true });
    const lacks =
      read.missing.length > 0 ? ` No bag here is called ${read.missing.join(', ')}: that part is left out.` : '';
    say(`“${read.input.name}” is kept.${lacks}`);
  };
  return (
    <>
      <input
        ref={chooser}
        type="file"
        className="sr-only"
        tabIndex={-1}
        aria-label="A recipe file"
        accept=".json,.csv,application/json,text/csv"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = '';
          if (file) void open(file);
        }}
      />
      <button type="button" className="action" disabled={isLoading} onClick={() => chooser.current?.click()}>
        <FileUp size={16} aria-hidden="true" />
        Open a recipe file
      </button>
    </>
  );
}
