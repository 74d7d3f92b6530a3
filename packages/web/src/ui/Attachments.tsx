import { useId, useState } from 'react';
import { FileText, Paperclip, Trash2 } from 'lucide-react';
import { ATTACHMENT_TYPES, MOST_ATTACHMENT_BYTES, type AttachmentRecord } from '@wheat-ledger/contract';
import { problemOf, useKeepContentMutation, useRecords, useRemoveMutation, useSaveMutation } from '../app/api';
import { dataAt } from '../app/ledger';
import { deskSlice } from '../app/slices';
import { useAppDispatch } from '../app/store';
import { FormPart } from './EditForm';
import { Remark } from './Sheet';

const contentOf = (attachment: AttachmentRecord): string => dataAt(`attachments/${attachment.id}/content`);
const megabytes = (bytes: number): string =>
  bytes < 1e5 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** The bag, the log entry or the trial that files are of. */
export type Owner =
  { readonly productId: string } | { readonly entryId: string } | { readonly trialId: string; readonly unit?: number };

/** What the files of an owner are asked for by. */
const askedBy = (owner: Owner): Readonly<Record<string, string>> =>
  'productId' in owner
    ? { product: owner.productId }
    : 'entryId' in owner
      ? { entry: owner.entryId }
      : { trial: owner.trialId };

interface AttachmentsProps {
  /** Missing while it is not saved yet. */
  readonly owner: Owner | undefined;
  readonly title: string;
  readonly hint: string;
  /** What is said while there is nothing to attach to. */
  readonly unsaved?: string;
  /** What stands before the name of a file. */
  readonly captionOf?: (attachment: AttachmentRecord) => string;
}
/** Photos and PDFs of something. */
export function Attachments({ owner, title, hint, unsaved = '', captionOf = () => '' }: AttachmentsProps) {
  const fieldId = useId();
  const { records: mine } = useRecords('attachment', owner ? { of: askedBy(owner) } : { skip: true });
  const [keep, { isLoading: sending }] = useKeepContentMutation();
  const [save, { isLoading: saving }] = useSaveMutation();
  const [remove] = useRemoveMutation();
  const [trouble, setTrouble] = useState<string>();
  const dispatch = useAppDispatch();
  const attach = async (file: File): Promise<void> => {
    setTrouble(undefined);
    if (file.size > MOST_ATTACHMENT_BYTES)
      return setTrouble(
        `Read a file of ${megabytes(file.size)}, expected at most ${megabytes(MOST_ATTACHMENT_BYTES)}. A smaller photo reads as well.`,
      );
    const content = await keep({ file });
    if (content.error) return setTrouble(problemOf(content.error).detail);
    const result = await save({
      kind: 'attachment',
      input: { ...owner, name: file.name.slice(-200) || 'photo', ...content.data },
    });
    if (result.error) return setTrouble(problemOf(result.error).detail);
    dispatch(deskSlice.actions.noticed({ text: `Attached “${file.name}”.`, recordId: result.data.id }));
  };
  const takeOff = async (attachment: AttachmentRecord): Promise<void> => {
    const result = await remove({ kind: 'attachment', record: attachment });
    dispatch(
      deskSlice.actions.noticed(
        result.error
          ? { text: problemOf(result.error).detail, recordId: undefined }
          : { text: `Took “${attachment.name}” off.`, recordId: attachment.id },
      ),
    );
  };
  return (
    <FormPart title={title} hint={hint}>
      {owner === undefined ? (
        <p className="text-faint">{unsaved}</p>
      ) : (
        <>
          <ul className="mb-2 flex flex-wrap gap-4" data-testid="attachments">
            {mine.map((a) => (
              <li key={a.id} className="w-36 text-[0.875rem]">
                <a
                  href={contentOf(a)}
                  target="_blank"
                  rel="noreferrer"
                  className="flex h-28 items-center justify-center overflow-hidden border border-rule bg-paper"
                  title={`Open ${a.name}`}
                >
                  {a.type === 'application/pdf' ? (
                    <FileText size={36} aria-label={a.name} />
                  ) : (
                    <img src={contentOf(a)} alt={a.name} className="max-h-full max-w-full" loading="lazy" />
                  )}
                </a>
                <span className="mt-1 flex items-start gap-1">
                  <span className="min-w-0 flex-1 break-words">
                    {captionOf(a)}
                    {a.name} <span className="text-faint">{megabytes(a.bytes)}</span>
                  </span>
                  <button
                    type="button"
                    className="cursor-pointer p-1"
                    title={`Take ${a.name} off`}
                    onClick={() => void takeOff(a)}
                  >
                    <Trash2 size={14} aria-hidden="true" />
                    <span className="sr-only">Take {a.name} off</span>
                  </button>
                </span>
              </li>
            ))}
          </ul>
          <label htmlFor={fieldId} className="action focus-within:outline-2">
            <Paperclip size={16} aria-hidden="true" />
            {sending || saving ? 'Sending …' : 'Attach a photo or PDF'}
            <input
              id={fieldId}
              type="file"
              accept={ATTACHMENT_TYPES.join(',')}
              className="sr-only"
              onChange={(e) => {
                const file = e.target.files?.[0];
                if (file) void attach(file);
                e.target.value = '';
              }}
            />
          </label>
          {trouble && (
            <div role="alert" className="mt-2">
              <Remark tone="caution">{trouble}</Remark>
            </div>
          )}
        </>
      )}
    </FormPart>
  );
}
