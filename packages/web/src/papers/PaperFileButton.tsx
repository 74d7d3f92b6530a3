import { FileUp } from 'lucide-react';
import { PAPER_FILES } from './readPaperFile';
import type { usePaperFile } from './usePaperFile';

/** Chooses the file of a paper, shows how far its reading is, and says what was wrong with it. */
export const PaperFileButton = ({ files }: { files: ReturnType<typeof usePaperFile> }) => (
  <div className="flex flex-wrap items-center gap-3">
    <label className="action cursor-pointer">
      <FileUp size={16} aria-hidden="true" />A file or a photo
      <input
        type="file"
        className="sr-only"
        data-testid="paper-file"
        accept={PAPER_FILES}
        onChange={(e) => {
          void files.take(e.target.files?.[0]);
          e.target.value = '';
        }}
      />
    </label>
    {files.reading && (
      <span role="status" className="flex items-center gap-2 text-sm text-faint">
        Reading {files.reading.name} …
        <progress aria-label="How far the reading is" value={files.reading.share ?? undefined} max={1} />
        <button type="button" className="plain" onClick={files.cancel}>
          stop
        </button>
      </span>
    )}
    {files.refused && (
      <p role="alert" className="text-sm text-beet">
        {files.refused}
      </p>
    )}
  </div>
);
